import { reactive, watch } from 'vue'
import { keptTyping } from './keptTyping'

/**
 * What is typed into a form, kept on this machine while it is typed, so that a reload or an empty battery takes none of it. Forgotten once it has
 * been sent, and after half a day: a meter read yesterday is no reading of today.
 *
 *     const { typed, forget } = useTyped('open:' + engineId, { hours: '' })
 */
export function useTyped<T extends object>(key: string, start: T) {
  const kept = keptTyping<T>(key)
  const typed = reactive({ ...start, ...kept.read() }) as T
  const stop = watch(typed, kept.keep, { deep: true })
  function forget(): void {
    stop()
    kept.forget()
  }
  return { typed, forget }
}
