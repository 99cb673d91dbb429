import { usePreferences } from '../preferences'
import { mm, mmPerThou, thou, type Unit } from './lengths'

type Maybe = number | null | undefined

/** Figures of millimetres, said in one unit. */
export interface Figures {
  readonly unit: Unit
  /** The bare figure. */
  figure: (value: Maybe) => string
  /** A figure that was worked out and not measured: no more digits than it deserves. */
  rough: (value: Maybe) => string
  /** Figure and unit. */
  withUnit: (value: Maybe) => string
  /** The same in the other unit, for whoever asks. */
  other: (value: Maybe) => string
  /** Both: the figure in this unit, the other beside it. */
  both: (value: Maybe) => string
  /** A window in this unit, and the same in the other. */
  range: (from: Maybe, to: Maybe) => string
  otherRange: (from: Maybe, to: Maybe) => string
  /** A rate per 1000 h without its sign. */
  rate: (mmPer1000h: number) => string
  /** A length as this unit counts it, for a scale. */
  scaled: (value: number) => number
}

/** Figures in the unit this screen prefers, or in another: at the engine in that of the blades in hand. */
export function useFigures(spoken?: () => Unit): Figures {
  const preferences = usePreferences()
  const said = () => spoken?.() ?? preferences.unit
  const or = (value: Maybe, text: (mm: number) => string, none = '—') =>
    value === null || value === undefined ? none : text(value)
  const isMm = () => said() === 'mm'
  const withUnit = (value: Maybe) => or(value, (v) => (isMm() ? `${mm(v)} mm` : `${thou(v)} thou`))
  const other = (value: Maybe) => or(value, (v) => (isMm() ? `${thou(v)} thou` : `${mm(v)} mm`), '')
  const figure = (value: Maybe) => or(value, (v) => (isMm() ? mm(v) : thou(v)))
  return {
    figure,
    rough: (value: Maybe) => or(value, (v) => (isMm() ? v.toFixed(2).replace('-', '−') : thou(v))),
    withUnit,
    other,
    range: (from: Maybe, to: Maybe) => `${figure(from)} – ${withUnit(to)}`,
    otherRange: (from: Maybe, to: Maybe) => `${other(from).replace(/ .*/, '')} – ${other(to)}`,
    both: (value: Maybe) => or(value, (v) => `${withUnit(v)} (${other(v)})`),
    rate: (mmPer1000h: number) =>
      isMm() ? Math.abs(mmPer1000h).toFixed(3) : (Math.abs(mmPer1000h) / mmPerThou).toFixed(2),
    scaled: (value: number) => (isMm() ? value : value / mmPerThou),
    get unit() {
      return said()
    },
  }
}
