import { onBeforeUnmount, onMounted, ref } from 'vue'

export interface Key {
  key: string
  does: string
}

/** The keys of the present screen, for the list behind `?`. */
export const keysHere = ref<Key[]>([])

/**
 * Listens to keys while a screen is shown, and lists them behind `?`. Keys typed into a field are the field's own,
 * except those the handler asks for with `inFields`.
 */
export function useKeys(keys: Key[], handle: (event: KeyboardEvent) => void) {
  function listen(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    handle(event)
  }
  onMounted(() => {
    keysHere.value = keys
    window.addEventListener('keydown', listen)
  })
  onBeforeUnmount(() => {
    keysHere.value = []
    window.removeEventListener('keydown', listen)
  })
}

/** Whether a key was typed into a field. */
export function isTyping(event: KeyboardEvent) {
  const target = event.target as HTMLElement | null
  return target !== null && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)
}
