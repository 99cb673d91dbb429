import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import type { Figures } from '../figures/useFigures'
import { counted, form, plural } from './counts'
import { decidesWhen, decision, headline, isOverdue } from './due'
import { glossary } from './glossary'
import { odds } from './odds'
import { letterOf, shortKind, spoken } from './points'
import { readingText, triesText } from './readings'

const figures = {
  unit: 'mm',
  figure: (v: number | null | undefined) => (v == null ? '—' : v.toFixed(2)),
  withUnit: (v: number | null | undefined) => (v == null ? '—' : `${v.toFixed(2)} mm`),
  rate: (v: number) => Math.abs(v).toFixed(3),
} as unknown as Figures

const row = (more: Partial<Schemas['DueRow']>) =>
  ({
    findings: [],
    others: [],
    hasFigures: true,
    noInterval: false,
    bookHoursLeft: 500,
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
  it('is said as plain odds', () => {
    expect([odds(0.05), odds(0.1), odds(0.01), odds(1 / 7)]).toEqual([
      'one in twenty',
      'one in ten',
      'one in a hundred',
      'one in 7',
    ])
  })
})

describe('what decides', () => {
  it('is a finding said as found, with its unit, never as a chance', () => {
    const said = decision(row({ findings: [finding('4E', 'tight', 0.32, 0.35)] }), figures, 0.05)
    expect(said).toEqual({ main: '4E found tight, 0.32 of 0.35 mm', below: 'not set: now', tone: 'tight' })
  })

  it('names how many more were found', () => {
    const two = row({ findings: [finding('4E', 'tight', 0.32, 0.35), finding('1I', 'loose', 0.3, 0.25)] })
    expect(decision(two, figures, 0.05).below).toBe('not set, and 1 point more: now')
    expect(decidesWhen(two)).toBe('4E decides: now')
  })

  it('is drift, as odds with its day, and how much later the book is', () => {
    const drifting = row({
      decides: { rule: 'drift', hours: 40, date: '2026-12-03' },
      driftPoint: '2E',
      driftSide: 'tight',
      driftMmPer1000h: -0.029,
      aheadOfBookHours: 750,
      driftHours: 140,
      driftDate: '2026-12-11',
      driftsBeforeBook: true,
    })
    expect(decision(drifting, figures, 0.05)).toEqual({
      main: '2E closing 0.029 mm a 1000 h',
      below: 'one in twenty tight by 11 Dec 2026; worth opening by 3 Dec 2026; the book 750 h later',
      tone: 'tight',
    })
    expect(decidesWhen(drifting)).toBe('2E decides: in 40 h')
  })

  it('is worth an early look without alarm where the risk is not reached before the book', () => {
    const early = row({
      decides: { rule: 'drift', hours: 320, date: '2027-01-18' },
      driftPoint: '6E',
      driftSide: 'tight',
      driftMmPer1000h: -0.012,
      aheadOfBookHours: 372,
      driftHours: 880,
    })
    expect(decision(early, figures, 0.05)).toMatchObject({
      below: 'worth opening by 18 Jan 2027; the book 372 h later',
      tone: 'ink',
    })
    expect(headline([early])).toBe('Nothing presses. The book decides.')
  })

  it('says of drift past the risk that it may stand out already, not that a risk is reached', () => {
    const past = row({
      decides: { rule: 'drift', hours: 0, date: '2026-11-25' },
      driftPoint: '2E',
      driftSide: 'loose',
      driftMmPer1000h: 0.03,
      driftHours: 0,
      driftsBeforeBook: true,
    })
    expect(decision(past, figures, 0.05).below).toBe('over one in twenty that it is loose already; worth opening now')
  })

  it('is the book, overdue or to come', () => {
    const late = row({ bookHoursLeft: -156, decides: { rule: 'bookHours', hours: -156, date: '2026-09-25' } })
    expect(decision(late, figures, 0.05).main).toBe('Book hours: overdue by 156 h')
    expect(isOverdue(late)).toBe(true)
    expect(decidesWhen(late)).toBe('The book decides: overdue by 156 h')
    expect(decision(row({}), figures, 0.05).main).toBe('Book hours: in 500 h')
    expect(decidesWhen(row({ decides: { rule: 'bookMonths', hours: null, date: '2027-06-06' } }))).toBe(
      'The book decides: 6 Jun 2027',
    )
  })

  it('asks for an interval where the book gives none, and never says that nothing presses', () => {
    const none = row({ noInterval: true, bookHoursLeft: null, decides: { rule: 'nothing', hours: null, date: null } })
    expect(decision(none, figures, 0.05)).toMatchObject({
      main: 'No interval given',
      below: 'add hours or months to its type in the book',
    })
    expect(decidesWhen({ ...none, hasFigures: false } as Schemas['DueRow'])).toBe('Not opened on record yet')
  })
})

describe('the yard in a sentence', () => {
  it('is quiet where nothing presses', () => expect(headline([row({})])).toBe('Nothing presses. The book decides.'))

  it('counts in words that agree', () => {
    const rows = [
      row({ findings: [finding('4E', 'tight', 0.32, 0.35)] }),
      row({ decides: { rule: 'drift', hours: 10, date: '2026-12-01' }, driftsBeforeBook: true }),
      row({ decides: { rule: 'drift', hours: 20, date: '2026-12-01' }, driftsBeforeBook: true }),
      row({ bookHoursLeft: -1 }),
    ]
    expect(headline(rows)).toBe(
      'One valve was found tight and not set. Two engines drift out before their book date. One is overdue by the book.',
    )
  })

  it('of no engine says so', () => expect(headline([])).toBe('No engine yet.'))
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
