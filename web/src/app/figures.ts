import { usePreferences } from './preferences'

const monthNames = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** Hours with a thin space between thousands: 18 412. */
export function hours(value: number): string {
  return Math.round(value)
    .toString()
    .replace(/\B(?=(\d{3})+$)/g, '\u2009')
}

/** 3 Mar, with the year where it is not this one. */
export function day(iso: string | null | undefined, withYear?: boolean): string {
  if (!iso) return '—'
  const [year, month, date] = iso.slice(0, 10).split('-').map(Number)
  const year4 = withYear ?? year !== new Date().getFullYear()
  return `${date} ${monthNames[(month ?? 1) - 1]}${year4 ? ` ${year}` : ''}`
}

/** Millimetres in their shortest honest form: 0.38, and 0.375 only where the half is meant. */
export function mm(value: number): string {
  return Math.abs(value * 100 - Math.round(value * 100)) < 0.02 ? value.toFixed(2) : value.toFixed(3)
}

/** Thou with at most one decimal. */
export function thou(value: number): string {
  return (value / 0.0254).toFixed(1).replace(/\.0$/, '')
}

/** Figures in the unit this screen prefers. */
export function useFigures() {
  const preferences = usePreferences()
  return {
    /** The bare figure. */
    figure: (value: number | null | undefined) =>
      value === null || value === undefined ? '—' : preferences.unit === 'mm' ? mm(value) : thou(value),
    /** A figure that was worked out and not measured: no more digits than it deserves. */
    rough: (value: number | null | undefined) =>
      value === null || value === undefined ? '—' : preferences.unit === 'mm' ? value.toFixed(2) : thou(value),
    /** Figure and unit. */
    withUnit: (value: number | null | undefined) =>
      value === null || value === undefined
        ? '—'
        : preferences.unit === 'mm'
          ? `${mm(value)} mm`
          : `${thou(value)} thou`,
    /** The same in the other unit, for a tooltip. */
    other: (value: number | null | undefined) =>
      value === null || value === undefined
        ? ''
        : preferences.unit === 'mm'
          ? `${thou(value)} thou`
          : `${mm(value)} mm`,
    /** A rate per 1000 h without its sign. */
    rate: (mmPer1000h: number) =>
      preferences.unit === 'mm' ? Math.abs(mmPer1000h).toFixed(3) : (Math.abs(mmPer1000h) / 0.0254).toFixed(2),
    get unit() {
      return preferences.unit
    },
  }
}
