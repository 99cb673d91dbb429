import { onBeforeUnmount, onMounted, type Ref } from 'vue'
import { isTyping } from './keys'

/** What is typed between asking for a field and its being there goes into it, and no page takes it for a key of its own. */
export function useTypedAhead(awaited: () => boolean, words: Ref<string>) {
  function ahead(event: KeyboardEvent) {
    const inDialog = event.target instanceof Element && event.target.closest('.modal')
    if (!awaited() || isTyping(event) || inDialog || event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === 'Backspace') words.value = words.value.slice(0, -1)
    else if (event.key.length === 1) words.value += event.key
    else return
    event.preventDefault()
    event.stopImmediatePropagation()
  }
  onMounted(() => window.addEventListener('keydown', ahead, true))
  onBeforeUnmount(() => window.removeEventListener('keydown', ahead, true))
}
