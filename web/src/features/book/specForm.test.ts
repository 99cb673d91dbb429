import { describe, expect, it } from 'vitest'
import { emptySpec, specRequest } from './specForm'

describe('clearances as they are typed', () => {
  it('begin empty, cold, in millimetres, for both kinds of valve', () => {
    const form = emptySpec()
    expect([form.condition, form.unit, form.lines.map((l) => l.kind)]).toEqual(['cold', 'mm', ['intake', 'exhaust']])
  })
  it('are sent with their unit, and what was left empty is left out', () => {
    const form = { ...emptySpec(), revision: 'B', unit: 'thou' }
    Object.assign(form.lines[0]!, { asks: 'single', single: '8', tight: '1', min: 'left over from a window' })
    Object.assign(form.lines[1]!, { asks: 'blades', go: '11', noGo: '13' })
    const sent = specRequest(form)
    expect([sent.revision, sent.source]).toEqual(['B', null])
    expect(sent.lines).toMatchObject([
      { kind: 'intake', min: null, single: '8', tightSide: '1', looseSide: null, go: null, unit: 'thou' },
      { kind: 'exhaust', single: null, go: '11', noGo: '13', zero: false, unit: 'thou' },
    ])
  })
})
