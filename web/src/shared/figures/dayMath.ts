const oneDay = 86_400_000

/** The day so many days after another: addDays('2026-11-25', 3) is 2026-11-28. */
export const addDays = (iso: string, count: number): string =>
  new Date(Date.parse(`${iso}T00:00:00Z`) + count * oneDay).toISOString().slice(0, 10)

/** Days from one day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / oneDay)

/** Monday is 0. */
export const weekday = (iso: string): number => (new Date(`${iso}T00:00:00Z`).getUTCDay() + 6) % 7
