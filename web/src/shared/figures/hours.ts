/** Between thousands: a thin gap that never breaks, and minus as a sign of its own. */
const gap = '\u202f'

/** A whole number with gaps: 18 412, −250. */
export function whole(value: number): string {
  const digits = Math.abs(Math.round(value))
    .toString()
    .replace(/\B(?=(\d{3})+$)/g, gap)
  return Math.round(value) < 0 ? `−${digits}` : digits
}

/** Engine hours, without their unit: 18 412. */
export const hours = whole
