import { describe, expect, it } from 'vitest'
import { isFilled } from '../../shared/spec/specLine'
import { emptySpec, kindsOf, specRequest } from './specForm'

describe('clearances as they are typed', () => {
  it('begin empty, cold, in millimetres, and ask for the kinds that the layout names', () => {
    const form = emptySpec()
    expect([form.condition, form.unit, form.lines.some(isFilled)]).toEqual(['cold', 'mm', false])
    expect(kindsOf('')).toEqual(['intake', 'exhaust'])
    expect(kindsOf('J I E B')).toEqual(['intake', 'exhaust', 'injector', 'engineBrake'])
    expect(kindsOf('E J E J')).toEqual(['exhaust', 'injector'])
    expect(kindsOf('E A')).toEqual(['intake', 'exhaust'])
    expect(kindsOf('A J A J')).toEqual(['exhaust', 'injector'])
    expect(kindsOf('I E | I E B')).toEqual(['intake', 'exhaust', 'engineBrake'])
  })
  it('of an amount go as an amount and not as a gap', () => {
    const form = emptySpec()
    Object.assign(form.lines[2]!, { asks: 'turns', amount: '0,5', min: '0.2' })
    Object.assign(form.lines[0]!, { asks: 'height', amount: '38.2' })
    const sent = specRequest(form).lines!
    expect([sent[2]!.turns, sent[2]!.min, sent[0]!.heightMm, sent[0]!.turns]).toEqual([0.5, null, 38.2, null])
  })
  it('are sent with their unit, and what was left empty is left out', () => {
    const form = { ...emptySpec(), revision: 'B', unit: 'thou' }
    Object.assign(form.lines[0]!, { asks: 'single', single: '8', tight: '1', min: 'left over from a window' })
    Object.assign(form.lines[1]!, { asks: 'blades', go: '11', noGo: '13' })
    const sent = specRequest(form)
    expect([sent.revision, sent.source]).toEqual(['B', null])
    expect(sent.lines!.slice(0, 2)).toMatchObject([
      { kind: 'intake', min: null, single: '8', tightSide: '1', looseSide: null, go: null, unit: 'thou' },
      { kind: 'exhaust', single: null, go: '11', noGo: '13', zero: false, unit: 'thou' },
    ])
  })
})
