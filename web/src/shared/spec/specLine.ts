import type { Schemas } from '../../api/client'
import { typedNumber } from '../figures/typedNumber'

/** What a line asks: a window, one figure with its tolerance, two blades, or no gap at all. */
export type Asks = 'written' | 'window' | 'single' | 'blades' | 'zero' | 'turns' | 'fraction' | 'height' | 'torque'

/** One line of a spec as it is typed: only the cells of what it asks are sent. */
export interface SpecLine {
  kind: Schemas['LashKind']
  asks: Asks
  /** As the book writes it: 0.25, 0.20-0.30 or 0.25 ± 0.05. */
  written: string
  min: string
  max: string
  set: string
  single: string
  tight: string
  loose: string
  go: string
  noGo: string
  /** Turns, a fraction of the travel, a height in mm or a torque in Nm. */
  amount: string
}

export const emptyLine = (kind: Schemas['LashKind']): SpecLine => ({
  kind,
  asks: kind === 'injector' ? 'turns' : 'written',
  amount: '',
  written: '',
  min: '',
  max: '',
  set: '',
  single: '',
  tight: '',
  loose: '',
  go: '',
  noGo: '',
})

/** Something is asked of a kind. */
export const isFilled = (l: SpecLine) =>
  !!(l.written || l.min || l.max || l.single || l.go || l.amount || l.asks === 'zero')

const amount = (asks: Asks, line: SpecLine) => (line.asks === asks ? (typedNumber(line.amount) ?? null) : null)

/** As the server wants it; empty cells are left out. */
export function lineRequest(l: SpecLine, unit: string): Schemas['SpecLineDto'] {
  const only = (asks: Asks, value: string) => (l.asks === asks && value ? value : null)
  return {
    kind: l.kind,
    written: only('written', l.written),
    min: only('window', l.min),
    max: only('window', l.max),
    set: only('window', l.set) ?? only('blades', l.set),
    single: only('single', l.single),
    tightSide: only('single', l.tight),
    looseSide: only('single', l.loose),
    go: only('blades', l.go),
    noGo: only('blades', l.noGo),
    zero: l.asks === 'zero',
    turns: amount('turns', l),
    fraction: amount('fraction', l),
    heightMm: amount('height', l),
    torqueNm: amount('torque', l),
    unit,
  }
}

/** What the server calls the cells of a line, whichever of them it complains of. */
export const lineFields = [
  'written',
  'min',
  'max',
  'set',
  'single',
  'minMm',
  'maxMm',
  'setMm',
  'figureMm',
  'goMm',
  'noGoMm',
  'unit',
]
