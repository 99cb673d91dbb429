const month = new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' })

/** 21 Nov 2026, of a date or a moment as the server writes them. */
export function day(iso: string | null | undefined): string {
  if (!iso) return '—'
  const date = new Date(`${iso.slice(0, 10)}T00:00:00Z`)
  return Number.isNaN(date.getTime()) ? iso : `${date.getUTCDate()} ${month.format(date)} ${date.getUTCFullYear()}`
}

/** 21 Nov 2026 14:05, on this machine's clock. */
export function moment(iso: string): string {
  const at = new Date(iso)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${day(isoOf(at))} ${two(at.getHours())}:${two(at.getMinutes())}`
}

/** 14:05 of today, else 21 Nov 2026 14:05, on this machine's clock. */
export const clock = (iso: string) => (isoOf(new Date(iso)) === today() ? moment(iso).slice(-5) : moment(iso))

/** Today on this machine, as 2026-11-21. */
export const today = () => isoOf(new Date())

/** The day of a moment on this machine, as 2026-11-21. */
export function isoOf(at: Date): string {
  return `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`
}

const monthNames = Array.from({ length: 12 }, (_, i) => month.format(new Date(Date.UTC(2026, i, 1))).toLowerCase())

/**
 * A day as people type it: 21 Nov 2026, 21 nov, 21.11.2026, 2026-11-21, 21/11/26, today, yesterday. Empty is undefined; what is no day is null,
 * and so is 11/25/2026: there is no month 25.
 */
export function typedDay(text: string, now = new Date()): string | null | undefined {
  const typed = text.trim().toLowerCase()
  if (typed === '') return undefined
  if (typed === 'today') return isoOf(now)
  if (typed === 'yesterday') return isoOf(new Date(now.getFullYear(), now.getMonth(), now.getDate() - 1))
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed)
  if (iso) return whole(Number(iso[1]), Number(iso[2]), Number(iso[3]))
  const named = /^(\d{1,2})\.?\s*([a-z]{3,})\.?\s*(\d{2}|\d{4})?$/.exec(typed)
  if (named) {
    const at = monthNames.findIndex((name) => named[2]!.startsWith(name))
    return at < 0 ? null : whole(year(named[3], now), at + 1, Number(named[1]))
  }
  const parts = /^(\d{1,2})[./](\d{1,2})[./](\d{2}|\d{4})$/.exec(typed)
  return parts ? whole(year(parts[3], now), Number(parts[2]), Number(parts[1])) : null
}

const year = (text: string | undefined, now: Date) =>
  text === undefined ? now.getFullYear() : text.length === 2 ? 2000 + Number(text) : Number(text)

function whole(y: number, m: number, d: number): string | null {
  const date = new Date(Date.UTC(y, m - 1, d))
  return date.getUTCFullYear() === y && date.getUTCMonth() === m - 1 && date.getUTCDate() === d
    ? date.toISOString().slice(0, 10)
    : null
}
