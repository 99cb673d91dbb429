import { reactive, watch } from 'vue'

/**
 * What is typed into a form, kept on this machine while it is typed, so that a reload or an empty battery takes none of it. Forgotten once it has
 * been sent.
 *
 *     const { typed, forget } = useTyped('open:' + engineId, { hours: '' })
 */
export function useTyped<T extends Record<string, unknown>>(key: string, start: T) {
  const place = `zd-typed:${key}`
  const typed = reactive({ ...start, ...read<T>(place) }) as T
  const stop = watch(typed, (now) => localStorage.setItem(place, JSON.stringify(now)), { deep: true })
  function forget(): void {
    stop()
    localStorage.removeItem(place)
  }
  return { typed, forget }
}

function read<T>(place: string): Partial<T> {
  try {
    return (JSON.parse(localStorage.getItem(place) ?? '{}') ?? {}) as Partial<T>
  } catch {
    return {}
  }
}
