import type { Schemas } from '../../api/client'
import { day } from '../figures/days'
import { hours } from '../figures/hours'
import type { Figures } from '../figures/useFigures'
import { counted, form, plural } from './counts'
import { odds } from './odds'
import { verdictWords } from './verdicts'

type Row = Schemas['DueRow']

/** Rules that can decide, as they are named behind one another. */
export const ruleWords: Record<Schemas['DueRule'], string> = {
  finding: 'a finding',
  drift: 'drift',
  bookHours: 'book hours',
  bookMonths: 'book months',
  firstCheck: 'the first check',
  symptom: 'an operator’s slip',
  followUp: 'a follow-up',
  resetHot: 'setting hot after break-in',
  nothing: 'nothing',
}

/** It drifts out before the book calls: the server says so by the fleet's risk and by what an early look costs. */
export const driftsBeforeBook = (row: Row) => row.driftsBeforeBook

/** The book's own day has passed. */
export const isOverdue = (row: Row) => row.bookHoursLeft != null && row.bookHoursLeft <= 0 && row.hasFigures

/** The yard in a few plain sentences, worst first; a quiet fleet has a quiet yard. */
export function headline(rows: Row[]): string {
  const findings = rows.flatMap((r) => r.findings)
  const tight = findings.filter((f) => f.state === 'tight').length
  const loose = findings.filter((f) => f.state === 'loose').length
  const drifting = rows.filter(driftsBeforeBook).length
  const overdue = rows.filter(isOverdue).length
  const said: string[] = []
  if (tight) said.push(`${counted(tight)} ${form(tight, 'valve was', 'valves were')} found tight and not set.`)
  if (loose) said.push(`${counted(loose)} ${form(loose, 'was', 'were')} found loose and not set.`)
  if (drifting)
    said.push(
      `${counted(drifting)} ${form(drifting, 'engine drifts out before its', 'engines drift out before their')} book date.`,
    )
  if (overdue) said.push(`${counted(overdue)} ${form(overdue, 'is', 'are')} overdue by the book.`)
  if (said.length > 0) return said.join(' ')
  return rows.length === 0 ? 'No engine yet.' : 'Nothing presses. The book decides.'
}

/** What an operator may notice. */
export const symptomWords: Record<Schemas['Symptom'], string> = {
  ticking: 'ticking or clatter',
  power: 'less power',
  smoke: 'more smoke',
  starting: 'hard to start',
  deadCylinder: 'a cylinder does not fire',
}

/** A slip or a follow-up in a few words. */
export function callText(call: Schemas['CallResponse']): string {
  const noticed = call.symptoms.map((s) => symptomWords[s]).join(', ')
  const said = [noticed, call.what].filter(Boolean).join(': ')
  return said.replace(/^./, (c) => c.toUpperCase())
}

export interface Decision {
  /** What decides. */
  main: string
  /** When, and beside what. */
  below: string
  tone: 'tight' | 'loose' | 'ink'
}

/** What decides an engine's next overhead, and when. */
export function decision(row: Row, figures: Figures, risk: number): Decision {
  const finding = row.findings[0]
  if (finding) {
    const more = row.findings.length - 1
    return {
      main: `${finding.point} found ${verdictWords[finding.state]}, ${figures.figure(finding.mm)} of ${figures.withUnit(finding.limitMm)}`,
      below: more > 0 ? `not set, and ${plural(more, 'point')} more: now` : 'not set: now',
      tone: finding.state === 'tight' ? 'tight' : 'loose',
    }
  }
  const { rule, hours: left, date } = row.decides
  if (rule === 'drift') return drifting(row, figures, risk)
  if (rule === 'bookHours' || rule === 'firstCheck' || rule === 'resetHot') {
    const name =
      rule === 'firstCheck'
        ? 'First check after the build'
        : rule === 'resetHot'
          ? 'Set hot after break-in'
          : 'Book hours'
    return left != null && left < 0
      ? { main: `${name}: overdue by ${hours(-left)} h`, below: `since about ${day(date)}`, tone: 'ink' }
      : {
          main: `${name}: in ${hours(left ?? 0)} h`,
          below: date ? `about ${day(date)}` : 'no date at the present use',
          tone: 'ink',
        }
  }
  if (rule === 'symptom' || rule === 'followUp') {
    const call = row.calls.find((c) => c.rule === rule)
    return { main: call ? callText(call) : ruleWords[rule], below: `by ${day(date)}`, tone: 'ink' }
  }
  if (rule === 'bookMonths') return { main: 'Book months', below: `on ${day(date)}`, tone: 'ink' }
  if (!row.hasFigures) return { main: 'Never opened on record', below: 'open it, or bring in its logbook', tone: 'ink' }
  return row.noInterval
    ? { main: 'No interval given', below: 'add hours or months to its type in the book', tone: 'ink' }
    : { main: 'No limit in sight', below: 'nothing drifts out within the years looked at', tone: 'ink' }
}

function drifting(row: Row, figures: Figures, risk: number): Decision {
  const { hours: left, date } = row.decides
  const moving = row.driftSide === 'loose' ? 'opening' : 'closing'
  const side = row.driftSide === 'loose' ? 'loose' : 'tight'
  const main = row.driftMmPer1000h
    ? `${row.driftPoint} ${moving} ${figures.rate(row.driftMmPer1000h)} ${figures.unit} a 1000 h`
    : `${row.driftPoint} near its limit`
  const book =
    row.aheadOfBookHours && row.aheadOfBookHours > 0 ? `; the book ${hours(row.aheadOfBookHours)} h later` : ''
  const worth =
    !left || left <= 0
      ? 'worth opening now'
      : date
        ? `worth opening by ${day(date)}`
        : `worth opening in ${hours(left)} h`
  if (!row.driftsBeforeBook) return { main, below: `${worth}${book}`, tone: 'ink' }
  const chance = odds(risk)
  const when =
    !row.driftHours || row.driftHours <= 0
      ? `over ${chance} that it is ${side} already`
      : `${chance} ${side} ${row.driftDate ? `by ${day(row.driftDate)}` : `in ${hours(row.driftHours)} h`}`
  return { main, below: `${when}; ${worth}${book}`, tone: side }
}

/** The same in a few words, over an engine's page. */
export function decidesWhen(row: Row): string {
  const { rule, hours: left, date } = row.decides
  if (row.findings[0]) return `${row.findings[0].point} decides: now`
  if (rule === 'nothing')
    return !row.hasFigures ? 'Not opened on record yet' : row.noInterval ? 'No interval given' : 'No limit in sight'
  if (rule === 'symptom') return `An operator’s slip decides: ${day(date)}`
  if (rule === 'followUp') return `A follow-up decides: ${day(date)}`
  const who = rule === 'drift' ? `${row.driftPoint} decides` : 'The book decides'
  if (left == null) return `${who}: ${day(date)}`
  if (left < 0) return `${who}: overdue by ${hours(-left)} h`
  return left === 0 ? `${who}: now` : `${who}: in ${hours(left)} h`
}
