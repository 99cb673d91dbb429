import type { Schemas } from '../../api/client'
import { today } from '../../shared/figures/days'
import { emptyLine, lineRequest, type SpecLine } from '../../shared/spec/specLine'

/** The kinds of point that a layout names; intake and exhaust while nothing is typed. */
export function kindsOf(layout: string): Schemas['LashKind'][] {
  const kinds: Schemas['LashKind'][] = []
  // Beside an A an E is the intake.
  const [intake, exhaust] = /a/i.test(layout) ? [/e/i, /a/i] : [/i/i, /e/i]
  if (intake.test(layout) || !layout.trim()) kinds.push('intake')
  if (exhaust.test(layout) || !layout.trim()) kinds.push('exhaust')
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
  revision: 'A',
  date: today(),
  condition: 'cold',
  unit: 'mm',
  source: '',
  noFigures: false,
  lines: (['intake', 'exhaust', 'injector', 'engineBrake'] as const).map(emptyLine),
})

/** As the server wants it. */
export const specRequest = (form: SpecForm): Schemas['SpecRevisionRequest'] => ({
  revision: form.revision || null,
  source: form.source || null,
  date: form.date || null,
  condition: form.condition,
  lines: form.lines.map((l) => lineRequest(l, form.unit)),
})
