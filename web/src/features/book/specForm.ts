import type { Schemas } from '../../api/client'
import { today } from '../../shared/figures/days'

export interface SpecForm {
  revision: string
  date: string
  condition: Schemas['SpecCondition']
  unit: string
  source: string
  lines: { kind: 'intake' | 'exhaust'; min: string; max: string; set: string; single: string }[]
}

export const emptySpec = (): SpecForm => ({
  revision: '',
  date: today(),
  condition: 'cold',
  unit: 'mm',
  source: '',
  lines: (['intake', 'exhaust'] as const).map((kind) => ({ kind, min: '', max: '', set: '', single: '' })),
})

/** As the server wants it; empty cells are left out. */
export function specRequest(form: SpecForm): Schemas['SpecRevisionRequest'] {
  return {
    revision: form.revision || null,
    source: form.source || null,
    date: form.date || null,
    condition: form.condition,
    lines: form.lines.map((l) => ({
      kind: l.kind,
      min: l.min || null,
      max: l.max || null,
      set: l.set || null,
      single: l.single || null,
      unit: form.unit,
    })),
  }
}
