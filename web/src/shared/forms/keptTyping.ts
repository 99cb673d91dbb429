const keptFor = 12 * 3_600_000

/** A place on this machine for what is half typed: there after a reload or an empty battery, gone after half a day. */
export function keptTyping<T>(key: string) {
  const place = `zd-typed:${key}`
  return {
    read(): Partial<T> | null {
      try {
        const kept = JSON.parse(localStorage.getItem(place) ?? 'null') as { at: number; typed: Partial<T> } | null
        return kept && Date.now() - kept.at < keptFor ? kept.typed : null
      } catch {
        return null
      }
    },
    keep: (typed: T) => localStorage.setItem(place, JSON.stringify({ at: Date.now(), typed })),
    forget: () => localStorage.removeItem(place),
  }
}
