import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import type { Figures } from '../figures/useFigures'
import { counted, form, plural } from './counts'
import { decidesWhen, decision, headline, isOverdue, meterText, unreadText } from './due'
import { glossary } from './glossary'
import { chance, percent } from './odds'
import { letterOf, shortKind, spoken } from './points'
import { readingText, triesText } from './readings'
import { engineChance, lookAgainText, whoStandsOut } from './voice'

const figures = {
  unit: 'mm',
  figure: (v: number | null | undefined) => (v == null ? '—' : v.toFixed(2)),
  withUnit: (v: number | null | undefined) => (v == null ? '—' : `${v.toFixed(2)} mm`),
  rate: (v: number) => Math.abs(v).toFixed(3),
} as unknown as Figures

const quiet = {
  valves: 12,
  risk: null,
  riskIfNew: null,
  raised: false,
  points: [],
  named: [],
  foundOut: [],
  lookAgain: [],
  ordinary: true,
} as unknown as Schemas['VoiceResponse']
const voice = (more: Partial<Schemas['VoiceResponse']>) => ({ ...quiet, ordinary: false, ...more })
const none = { engines: 0, expectedOut: 0 }
const row = (more: Partial<Schemas['DueRow']>) =>
  ({
    findings: [],
    others: [],
    hasFigures: true,
    noInterval: false,
    bookHoursLeft: 500,
    voice: quiet,
    decides: { rule: 'bookHours', hours: 500, date: '2027-03-01' },
    ...more,
  }) as unknown as Schemas['DueRow']
const finding = (point: string, state: 'tight' | 'loose', mm: number, limitMm: number) => ({
  point,
  state,
  mm,
  limitMm,
})

describe('counts', () => {
  it('agree with what is counted', () => {
    expect([plural(1, 'engine'), plural(2, 'engine'), plural(3, 'entry', 'entries')]).toEqual([
      '1 engine',
      '2 engines',
      '3 entries',
    ])
    expect([counted(2), counted(14), form(1, 'is', 'are'), form(0, 'is', 'are')]).toEqual(['Two', '14', 'is', 'are'])
  })
})

describe('a chance', () => {
  it('is said in percent, and no likelier than it is', () => {
    expect([0.05, 0.1, 1 / 7, 0.0042, 0.0001, 0.995].map(percent)).toEqual([
      '5 %',
      '10 %',
      '14 %',
      '0.4 %',
      'less than 0.1 %',
      'over 99 %',
    ])
    expect(chance(0.05)).toBe('5 % chance')
  })
})

describe('what decides', () => {
  it('is a finding said as found, with its unit, never as a chance', () => {
    const said = decision(row({ findings: [finding('4E', 'tight', 0.32, 0.35)] }), figures)
    expect(said).toEqual({
      main: '4E found tight, 0.32 mm where 0.35 is the least',
      below: 'not set: now',
      tone: 'tight',
    })
  })

  it('names how many more were found', () => {
    const two = row({ findings: [finding('4E', 'tight', 0.32, 0.35), finding('1I', 'loose', 0.3, 0.25)] })
    expect(decision(two, figures).below).toBe('not set, and 1 point more: now')
    expect(decidesWhen(two)).toBe('4E decides: now')
  })

  const drifting = (more: Partial<Schemas['VoiceResponse']>, hours = 40) =>
    row({
      decides: { rule: 'drift', hours, date: '2026-12-03' },
      driftSide: 'tight',
      aheadOfBookHours: 750,
      driftsBeforeBook: true,
      voice: voice({ raised: true, risk: 0.2, ...more }),
    })

  it('is drift, as the chance of all its valves, how early a look is worth it, and how much later the book is', () => {
    expect(decision(drifting({}), figures)).toEqual({
      main: '20 % chance that one of 12 valves is out of limits before the manual’s date',
      below: 'check by 3 Dec 2026; the manual would allow 750 h more',
      tone: 'ink',
    })
    expect(decision(drifting({}, 0), figures).below).toContain('check now')
    expect(decidesWhen(drifting({}))).toBe('Drift decides: in 40 h')
  })

  it('names a valve only by its own odds, or as wearing another way since a visit', () => {
    expect(decision(drifting({ points: [{ point: '2E', p: 0.25 }] }), figures).main).toBe(
      '2E: 25 % chance that it is out of limits before the manual’s date',
    )
    const since = { point: '3E', sinceHours: 3000, mmPer1000h: -0.08, ownHoursToRisk: 500 }
    expect(decision(drifting({ named: [since] }), figures).main).toBe('3E has worn another way since 3\u202f000 h')
  })

  it('is worth an early look without alarm where nothing is raised', () => {
    const early = row({
      decides: { rule: 'drift', hours: 320, date: '2027-01-18' },
      aheadOfBookHours: 372,
      voice: { ...quiet, risk: 0.02 },
    })
    expect(decision(early, figures)).toMatchObject({
      below: 'check by 18 Jan 2027; the manual would allow 372 h more',
      tone: 'ink',
    })
    expect(headline([early], none)).toBe('Nothing is urgent; the next dates come from the manual.')
  })

  it('is the book, overdue or to come', () => {
    const late = row({ bookHoursLeft: -156, decides: { rule: 'bookHours', hours: -156, date: '2026-09-25' } })
    expect(decision(late, figures).main).toBe('Book hours: overdue by 156 h')
    expect(isOverdue(late)).toBe(true)
    expect(decidesWhen(late)).toBe('The book decides: overdue by 156 h')
    expect(decision(row({}), figures).main).toBe('Book hours: in 500 h')
    expect(decidesWhen(row({ decides: { rule: 'bookMonths', hours: null, date: '2027-06-06' } }))).toBe(
      'The book decides: 6 Jun 2027',
    )
  })

  it('asks for an interval where the book gives none, and never says that nothing presses', () => {
    const none = row({ noInterval: true, bookHoursLeft: null, decides: { rule: 'nothing', hours: null, date: null } })
    expect(decision(none, figures)).toMatchObject({
      main: 'No interval given',
      below: 'add hours or months to its type in the book',
    })
    expect(decidesWhen({ ...none, hasFigures: false } as Schemas['DueRow'])).toBe('Never measured here')
  })
})

describe('the yard in a sentence', () => {
  it('is quiet where nothing presses', () =>
    expect(headline([row({})], none)).toBe('Nothing is urgent; the next dates come from the manual.'))

  it('counts in words that agree, and of the early ones says how many are expected out', () => {
    const rows = [row({ findings: [finding('4E', 'tight', 0.32, 0.35)] }), row({ bookHoursLeft: -1 })]
    expect(headline(rows, { engines: 7, expectedOut: 1.8 })).toBe(
      'One tight valve waits to be set. Seven engines are worth an early look; of these about two are expected out by their date. One engine is past its interval.',
    )
    expect(headline([row({})], { engines: 2, expectedOut: 0.3 })).toBe(
      'Two engines are worth an early look; of these hardly one is expected out by their date.',
    )
  })

  it('never says that nothing presses where something was found out of its window', () =>
    expect(headline([row({ voice: voice({ foundOut: ['4E'] }) })], none)).not.toContain('Nothing is urgent'))

  it('counts the meters that nobody has read for too long', () => {
    const unread = row({
      shownHours: 7000,
      readOn: '2026-08-12',
      hoursToday: { hours: 7130, least: 7020, most: 7240, toBeRead: true },
    })
    expect(headline([unread], none)).toBe('One meter is to be read.')
    expect(meterText(unread)).toBe('about 7\u202f130 h today (read 12 Aug 2026)')
    expect(unreadText(unread)).toContain('between 7\u202f020 and 7\u202f240 h')
  })

  it('of no engine says so', () => expect(headline([], none)).toBe('No engine yet.'))
})

describe('what is said of an engine', () => {
  it('is the chance of all its valves, with and without new failures', () => {
    expect(engineChance(voice({ risk: 0.05, riskIfNew: 0.08 }))).toBe(
      '5 % chance that one of its 12 valves is out of limits before the manual’s date, if nothing new begins to fail; 8 % if one begins to fail as they do in this fleet.',
    )
    expect(engineChance(quiet)).toBe('')
  })
  it('names who stands out by its own odds, or says that nobody does', () => {
    expect(whoStandsOut(voice({ raised: true, risk: 0.3, points: [{ point: '2E', p: 0.25 }] }))).toBe('2E itself 25 %.')
    expect(whoStandsOut(voice({ raised: true, risk: 0.3 }))).toBe('No single one stands out.')
  })
  it('asks for another look, and calls nothing a finding', () =>
    expect(
      lookAgainText({ point: '4E', foundMm: 0.28, expectedMm: 0.38 }, {
        ...figures,
        rough: (v: number) => v.toFixed(2),
      } as unknown as Figures),
    ).toBe('4E was found 0.28 where 0.38 mm was expected: so far not told apart from an outlier.'))
})

describe('points and readings', () => {
  it('are named as they are spoken', () => {
    expect(spoken({ cylinder: 3, kind: 'exhaust' })).toBe('3 exhaust')
    expect(spoken({ cylinder: 2, kind: 'intake', place: 'rear' })).toBe('2 intake rear')
    expect([letterOf('4A'), letterOf('12E front')]).toEqual(['A', 'E front'])
    expect([shortKind('intake'), shortKind('exhaust')]).toEqual(['in', 'ex'])
  })

  const tried = (feels: [string, string][]) => feels.map(([blade, feel]) => ({ blades: [blade], feel, entry: blade }))
  const reading = (
    lower: number | null,
    upper: number | null,
    estimate: number | null,
    tries: [string, string][] = [],
  ) =>
    ({
      lowerMm: lower,
      upperMm: upper,
      estimateMm: estimate,
      tries: tried(tries),
    }) as unknown as Schemas['SheetReadingRecord']

  it('between two blades is a bracket, written whole in both forms', () => {
    const between = reading(0.3, 0.35, 0.325, [
      ['0.30', 'free'],
      ['0.35', 'noGo'],
    ])
    expect(readingText(between, figures.figure)).toBe('between 0.30 and 0.35')
    expect(readingText(between, figures.figure, true)).toBe('0.30–0.35')
    expect(triesText(between)).toBe('0.30 slid free, 0.35 no go')
  })

  it('with a blade that drags is that blade, whatever was tried beside it', () => {
    const drags = reading(0.2, 0.3, 0.25, [
      ['0.20', 'free'],
      ['0.25', 'drag'],
      ['0.30', 'noGo'],
    ])
    expect(readingText(drags, figures.figure)).toBe('0.25')
  })

  it('of one side only is under or over', () => {
    expect(readingText(reading(null, 0.05, null), figures.figure)).toBe('under 0.05')
    expect(readingText(reading(0.6, null, null), figures.figure, true)).toBe('>0.60')
    expect(readingText(null, figures.figure)).toBe('')
  })
})

describe('the glossary', () => {
  it('has one line a word, in sentences', () => {
    const terms = glossary.map((g) => g.term)
    expect(new Set(terms).size).toBe(terms.length)
    for (const { means } of glossary) expect(means).toMatch(/^[A-Z].*\.$/)
  })
})
