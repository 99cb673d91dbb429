import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import type { Figures } from '../figures/useFigures'
import { driftBelow, driftChanged, driftHeadline, rateText, standingOut } from './drift'

const figures = {
  unit: 'mm',
  figure: (v: number | null | undefined) => (v == null ? '—' : v.toFixed(2)),
  withUnit: (v: number | null | undefined) => (v == null ? '—' : `${v.toFixed(2)} mm`),
  rate: (v: number) => Math.abs(v).toFixed(3),
} as unknown as Figures

const point = (label: string, more: Partial<Schemas['EngineDriftPointResponse']> = {}) =>
  ({
    label,
    cylinder: Number(label.slice(0, -1)),
    kind: label.endsWith('E') ? 'exhaust' : 'intake',
    minMm: 0.35,
    maxMm: 0.45,
    lastMm: 0.4,
    standing: 'inWindow',
    mmPer1000h: -0.02,
    standardErrorMmPer1000h: 0.004,
    unlikeSiblings: false,
    visits: [{}],
    ...more,
  }) as unknown as Schemas['EngineDriftPointResponse']
const voice = (more: Partial<Schemas['VoiceResponse']>) =>
  ({
    valves: 2,
    risk: 0.02,
    riskIfNew: 0.02,
    raised: false,
    points: [],
    named: [],
    foundOut: [],
    lookAgain: [],
    ordinary: true,
    ...more,
  }) as unknown as Schemas['VoiceResponse']
const drift = (more: Partial<Schemas['EngineDriftResponse']> = {}) =>
  ({
    engine: 'Lorry 3',
    points: [point('1E'), point('2E')],
    visits: [{ date: '2026-05-01', asked: false }],
    kinds: [{ kind: 'exhaust', mmPer1000h: -0.012 }],
    decidedBy: '2E',
    side: 'tight',
    risk: 0.05,
    riskHours: 800,
    riskDate: '2027-03-01',
    openAfterHours: 700,
    openDate: '2027-02-01',
    bookHoursLeft: 600,
    riskAtBook: 0.02,
    beforeBook: false,
    totalHours: 9000,
    voice: voice({}),
    ...more,
  }) as unknown as Schemas['EngineDriftResponse']

describe('the main thing of an engine’s drift', () => {
  it('is what was found, as found and never as a chance, tight before loose', () => {
    const found = drift({
      points: [
        point('1I', { standing: 'loose', lastMm: 0.5 }),
        point('4E', { standing: 'tight', lastMm: 0.32, unlikeSiblings: true }),
      ],
    })
    expect(driftHeadline(found, figures)).toBe(
      '4 exhaust was found tight, 0.32 mm where 0.35 is the least, and waits to be set.',
    )
    expect(standingOut(found).map((p) => p.label)).toEqual(['4E', '1I'])
    expect(driftBelow(found, figures)).not.toMatch(/one in|chance/i)
  })
  it('is a valve unlike its sisters, with how many times as fast where that says something', () => {
    const fast = (rate: number) => drift({ points: [point('2E', { unlikeSiblings: true, mmPer1000h: rate })] })
    expect(driftHeadline(fast(-0.036), figures)).toBe('2 exhaust is closing three times as fast as its sisters.')
    expect(driftHeadline(fast(0.012), figures)).toBe('2 exhaust is opening unlike its sisters.')
    expect(driftHeadline(fast(-0.084), figures)).toContain('7 times as fast')
  })
  it('is a visit that read one way, as a question', () =>
    expect(
      driftHeadline(
        drift({ visits: [{ date: '2026-05-01', asked: true, shiftMm: -0.04 }] as Schemas['DriftVisit'][] }),
        figures,
      ),
    ).toBe('The visit of 1 May 2026 read 0.04 mm tight throughout. Was the engine warm?'))
  it('is wear before the book, with the day that is worth it', () => {
    expect(driftHeadline(drift({ beforeBook: true }), figures)).toBe(
      'Check it by 1 Feb 2027, before the manual’s date.',
    )
    expect(driftHeadline(drift({ beforeBook: true, openAfterHours: 0 }), figures)).toContain('Check it now')
  })
  it('is a valve that has begun to wear another way, with the hours since when', () => {
    const since = { point: '2E', sinceHours: 3000, mmPer1000h: -0.08, ownHoursToRisk: 500 }
    expect(driftHeadline(drift({ voice: voice({ named: [since] }) }), figures)).toBe(
      '2E has worn another way since 3\u202f000 h.',
    )
  })
  it('is a question where a figure is not told apart from an outlier, and what was found out is never nothing', () => {
    expect(
      driftHeadline(
        drift({ voice: voice({ lookAgain: [{ point: '1E', foundMm: 0.28, expectedMm: 0.38 }] }) }),
        figures,
      ),
    ).toBe('1E asks for another look.')
    expect(driftHeadline(drift({ voice: voice({ foundOut: ['1E'] }) }), figures)).toBe(
      '1E was out of its window when it was last found.',
    )
  })
  it('is an early look without alarm where only little is known', () =>
    expect(driftHeadline(drift({ openAfterHours: 300, openDate: '2026-12-20' }), figures)).toBe(
      'No valve is expected near its limit before the manual’s date; an early look is worth its price by 20 Dec 2026 all the same.',
    ))
  it('is quiet where nothing comes before the book, and says where nothing is known', () => {
    expect(driftHeadline(drift(), figures)).toBe('No valve is expected out of limits before the manual’s date.')
    expect(driftHeadline(drift({ voice: voice({ valves: 0 }), openAfterHours: null }), figures)).toBe(
      'Not enough found yet for a date of its own: the next one comes from the manual.',
    )
  })
})

describe('what lies behind it', () => {
  it('is the rate of a point that stands out by its own odds, the book, and the chance of all', () =>
    expect(
      driftBelow(drift({ voice: voice({ raised: true, risk: 0.2, points: [{ point: '2E', p: 0.2 }] }) }), figures),
    ).toBe(
      '2E closing 0.020 ± 0.004 mm a 1000 h, its sisters 0.012. The manual’s date is 600 h ahead. 20 % chance that one of its 2 valves is out of limits before the manual’s date, if nothing new begins to fail; 2 % if one begins to fail as they do in this fleet. 2E itself 20 %.',
    ))
  it('says of a book that has called since when', () =>
    expect(driftBelow(drift({ bookHoursLeft: -120 }), figures)).toContain('The manual’s date was 120 h ago.'))
  it('has no rate where there is none', () =>
    expect(rateText({ mmPer1000h: null, standardErrorMmPer1000h: null }, figures)).toBe(''))
})

describe('what the last visit changed', () => {
  const before = (riskHours: number | null, decidedBy = '2E') =>
    drift({ before: { hoursNow: 8900, riskHours, decidedBy } as Schemas['EngineDriftResponse']['before'] })
  it('is where the limit moved to, on one scale', () => {
    expect(driftChanged(before(1400))).toBe(
      'The visit of 1 May 2026 moved the limit from 10\u202f300 h to 9\u202f800 h.',
    )
    expect(driftChanged(before(1400, '1E'))).toContain(', and from 1E to 2E.')
    expect(driftChanged(before(920))).toBe('The visit of 1 May 2026 changed next to nothing.')
  })
  it('is a limit that came in sight or went out of it', () => {
    expect(driftChanged(before(null))).toBe('The visit of 1 May 2026 brought a limit in sight, at 9\u202f800 h.')
    expect(driftChanged({ ...before(700), riskHours: null })).toBe(
      'The visit of 1 May 2026 took the limit at 9\u202f600 h out of sight.',
    )
  })
  it('is nothing before there was anything', () => expect(driftChanged(drift())).toBe(''))
})
