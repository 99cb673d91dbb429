import { describe, expect, it } from 'vitest'
import { emptySpec, specRequest } from './specForm'

describe('clearances as they are typed', () => {
  it('begin empty, cold, in millimetres, for both kinds of valve', () => {
    const form = emptySpec()
    expect([form.condition, form.unit, form.lines.map((l) => l.kind)]).toEqual(['cold', 'mm', ['intake', 'exhaust']])
  })
  it('are sent with their unit, and what was left empty is left out', () => {
    const form = { ...emptySpec(), revision: 'B', unit: 'thou' }
    form.lines[0]!.single = '8'
    Object.assign(form.lines[1]!, { min: '12', max: '16' })
    const sent = specRequest(form)
    expect([sent.revision, sent.source]).toEqual(['B', null])
    expect(sent.lines).toEqual([
      { kind: 'intake', min: null, max: null, set: null, single: '8', unit: 'thou' },
      { kind: 'exhaust', min: '12', max: '16', set: null, single: null, unit: 'thou' },
    ])
  })
})
