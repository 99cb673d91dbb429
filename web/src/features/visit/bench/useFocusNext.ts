import { nextTick, watch, type Ref } from 'vue'

/**
 * What comes next begins at the top of the page, and the focus goes there: to the first field of the new step, or its heading; unless somebody is at
 * another place of the screen.
 *
 *     useFocusNext(middle, () => step.value)
 */
export function useFocusNext(box: Readonly<Ref<HTMLElement | null>>, next: () => string): void {
  watch(next, async () => {
    await nextTick()
    window.scrollTo({ top: 0 })
    const at = document.activeElement
    if (at && at !== document.body && document.contains(at) && !box.value?.contains(at)) return
    const first = box.value?.querySelector<HTMLElement>('[data-first]') ?? box.value?.querySelector<HTMLElement>('h1')
    first?.focus()
  })
}
