import { describe, expect, it } from 'vitest'
import { emptyKit, kitComplaints, kitRequest } from './kitForm'
import { emptyStep, stepRequest } from './stepForm'

describe('what a job takes, as it is typed', () => {
  it('goes to the server with what was emptied named', () => {
    const sent = kitRequest({
      ...emptyKit(),
      fasteners: [{ use: ' locknut ', size: '', torque: '22,5' }],
      gaskets: [{ name: 'cover gasket', count: '', singleUse: true }],
      tools: 'puller\n\n dial rig ',
      hotMinutes: '20',
    })
    expect(sent.fasteners).toEqual([{ use: 'locknut', size: null, torqueNm: 22.5, count: null }])
    expect(sent.gaskets).toEqual([{ name: 'cover gasket', count: 1, singleUse: true }])
    expect(sent.scarceTools).toEqual(['puller', 'dial rig'])
    expect([sent.hotMinutes, sent.emptied]).toEqual([
      20,
      ['gasketHours', 'resetHotHours', 'sameWithinMm', 'shimDiameterMm', 'screwFreeMm'],
    ])
  })
  it('tells a torque that is no number beside its field', () =>
    expect(
      kitComplaints({ ...emptyKit(), fasteners: [{ use: 'locknut', size: '', torque: 'tight' }] })[
        'fasteners[0].torqueNm'
      ],
    ).toBeTruthy())
})

describe('a step as it is typed', () => {
  it('keeps only what belongs to its place', () => {
    const step = { ...emptyStep(0), text: ' Chain adjusted. ', crankDeg: '90', kind: 'intake' as const }
    expect(stepRequest({ ...step, list: 'stop' })).toMatchObject({ text: 'Chain adjusted.', crankDeg: 90, kind: null })
    expect(stepRequest({ ...step, list: 'point' })).toMatchObject({ crankDeg: null, kind: 'intake' })
  })
  it('counted out is paired with what comes back in', () =>
    expect(stepRequest({ ...emptyStep(0), text: 'Shims out', counts: 'out', asks: 'how many?' })).toMatchObject({
      counts: 'out',
      pair: 'parts',
      asks: null,
    }))
})
