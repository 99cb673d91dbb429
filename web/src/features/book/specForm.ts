import type { Schemas } from '../../api/client'
import { today } from '../../shared/figures/days'

/** What a line asks: a window, one figure with its tolerance, two blades, or no gap at all. */
export type Asks = 'window' | 'single' | 'blades' | 'zero'

export interface SpecLine {
  kind: 'intake' | 'exhaust'
  asks: Asks
  min: string
  max: string
  set: string
  single: string
  tight: string
  loose: string
  go: string
  noGo: string
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
  lines: (['intake', 'exhaust'] as const).map((kind) => ({
    kind,
    asks: 'window',
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
        unit: form.unit,
      }
    }),
  }
}
