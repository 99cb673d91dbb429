import type { Schemas } from '../../api/client'
import { today } from '../../shared/figures/days'
import { typedNumber } from '../../shared/figures/typedNumber'

/** What a line asks: a window, one figure with its tolerance, two blades, or no gap at all. */
export type Asks = 'window' | 'single' | 'blades' | 'zero' | 'turns' | 'fraction' | 'height' | 'torque'

export interface SpecLine {
  kind: Schemas['LashKind']
  asks: Asks
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

/** The kinds of point that a layout names; intake and exhaust while nothing is typed. */
export function kindsOf(layout: string): Schemas['LashKind'][] {
  const kinds: Schemas['LashKind'][] = []
  if (/[ia]/i.test(layout) || !layout.trim()) kinds.push('intake')
  if (/e/i.test(layout) || !layout.trim()) kinds.push('exhaust')
  if (/j/i.test(layout)) kinds.push('injector')
  if (/b/i.test(layout)) kinds.push('engineBrake')
  return kinds
}

export interface SpecForm {
  revision: string
  date: string
  condition: Schemas['SpecCondition']
  unit: string
  source: string
  /** No figure is at hand: measured now, judged by a revision that comes later. */
  noFigures: boolean
  lines: SpecLine[]
}

export const emptySpec = (): SpecForm => ({
  revision: '',
  date: today(),
  condition: 'cold',
  unit: 'mm',
  source: '',
  noFigures: false,
  lines: (['intake', 'exhaust', 'injector', 'engineBrake'] as const).map((kind) => ({
    kind,
    asks: kind === 'injector' ? 'turns' : 'window',
    amount: '',
    min: '',
    max: '',
    set: '',
    single: '',
    tight: '',
    loose: '',
    go: '',
    noGo: '',
  })),
})

const amount = (asks: Asks, line: SpecLine) => (line.asks === asks ? (typedNumber(line.amount) ?? null) : null)

/** Something is asked of a kind. */
export const isFilled = (l: SpecLine) => !!(l.min || l.max || l.single || l.go || l.amount || l.asks === 'zero')

/** As the server wants it; empty cells are left out. */
export function specRequest(form: SpecForm): Schemas['SpecRevisionRequest'] {
  return {
    revision: form.revision || null,
    source: form.source || null,
    date: form.date || null,
    condition: form.condition,
    lines: form.lines.map((l) => {
      const only = (asks: Asks, value: string) => (l.asks === asks && value ? value : null)
      return {
        kind: l.kind,
        min: only('window', l.min),
        max: only('window', l.max),
        set: only('window', l.set),
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
        unit: form.unit,
      }
    }),
  }
}
