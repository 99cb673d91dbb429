import { reactive, watch } from 'vue'

const keptFor = 12 * 3_600_000

/**
 * What is typed into a form, kept on this machine while it is typed, so that a reload or an empty battery takes none of it. Forgotten once it has
 * been sent, and after half a day: a meter read yesterday is no reading of today.
 *
 *     const { typed, forget } = useTyped('open:' + engineId, { hours: '' })
 */
export function useTyped<T extends Record<string, unknown>>(key: string, start: T) {
  const place = `zd-typed:${key}`
  const typed = reactive({ ...start, ...read<T>(place) }) as T
  const keep = (now: T) => localStorage.setItem(place, JSON.stringify({ at: Date.now(), typed: now }))
  const stop = watch(typed, keep, { deep: true })
  function forget(): void {
    stop()
    localStorage.removeItem(place)
  }
  return { typed, forget }
}

function read<T>(place: string): Partial<T> {
  try {
    const kept = JSON.parse(localStorage.getItem(place) ?? 'null') as { at: number; typed: Partial<T> } | null
    return kept && Date.now() - kept.at < keptFor ? kept.typed : {}
  } catch {
    return {}
  }
}
