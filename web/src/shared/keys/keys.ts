import { computed, onBeforeUnmount, onMounted, shallowReactive } from 'vue'

export interface Key {
  key: string
  does: string
}

const listening = shallowReactive(new Map<symbol, Key[]>())

/** The keys that do something on the present screen, for the list behind `?`. */
export const keysHere = computed(() => [...listening.values()].flat())

/**
 * Listens to keys while a part of a screen is shown, and lists them behind `?`. Keys typed into a field are the field's own: ask `isTyping`.
 *
 *     useKeys([{ key: '/', does: 'find an engine' }], (event) => { … })
 */
export function useKeys(keys: Key[], handle: (event: KeyboardEvent) => void) {
  const own = Symbol('keys')
  function listen(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    handle(event)
  }
  onMounted(() => {
    listening.set(own, keys)
    window.addEventListener('keydown', listen)
  })
  onBeforeUnmount(() => {
    listening.delete(own)
    window.removeEventListener('keydown', listen)
  })
}

/** Whether a key was typed into a field. */
export function isTyping(event: KeyboardEvent) {
  const target = event.target as HTMLElement | null
  return target !== null && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)
}
