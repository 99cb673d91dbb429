import type { Schemas } from '../../api/client'
import { day } from '../figures/days'
import { hours } from '../figures/hours'
import type { Figures } from '../figures/useFigures'
import { counted, form, plural } from './counts'
import { chance } from './odds'
import { verdictWords } from './verdicts'
import { earlyLooks, namedText } from './voice'

type Row = Schemas['DueRow']

/** Rules that can decide, as they are named behind one another. */
export const ruleWords: Record<Schemas['DueRule'], string> = {
  finding: 'a finding',
  drift: 'drift',
  bookHours: 'book hours',
  bookMonths: 'book months',
  firstCheck: 'the first check',
  symptom: 'an operator’s report',
  followUp: 'a follow-up',
  resetHot: 'setting hot after break-in',
  nothing: 'nothing',
}

/** The book's own day has passed. */
export const isOverdue = (row: Row) => row.bookHoursLeft != null && row.bookHoursLeft <= 0 && row.hasFigures

/** The yard in a few plain sentences, worst first; a quiet fleet has a quiet yard. */
export function headline(rows: Row[], early: Schemas['EarlyLooks']): string {
  const findings = rows.flatMap((r) => r.findings)
  const tight = findings.filter((f) => f.state === 'tight').length
  const loose = findings.filter((f) => f.state === 'loose').length
  const overdue = rows.filter(isOverdue).length
  const said: string[] = []
  if (tight) said.push(`${counted(tight)} tight ${form(tight, 'valve waits', 'valves wait')} to be set.`)
  if (loose) said.push(`${counted(loose)} loose ${form(loose, 'one waits', 'ones wait')} to be set.`)
  if (early.engines) said.push(earlyLooks(early))
  const unread = rows.filter((r) => r.hoursToday?.toBeRead).length
  if (unread) said.push(`${counted(unread)} ${form(unread, 'meter is', 'meters are')} to be read.`)
  if (overdue)
    said.push(`${counted(overdue)} ${form(overdue, 'engine is past its', 'engines are past their')} interval.`)
  if (said.length > 0) return said.join(' ')
  if (rows.some((r) => r.voice.foundOut.length || r.voice.lookAgain.length))
    return 'Nothing is due. Some valves were found out of their windows, or ask for another look.'
  return rows.length === 0 ? 'No engine yet.' : 'Nothing is urgent; the next dates come from the manual.'
}

/** What a meter shows today: about, where it runs on since it was read. */
export function meterText(row: Row): string {
  const now = row.hoursToday
  return now && row.readOn && hours(now.hours) !== hours(row.shownHours)
    ? `about ${hours(now.hours)} h today (read ${day(row.readOn)})`
    : `${hours(row.shownHours)} h on the meter`
}

/** Unread for longer than its use makes safe. */
export const unreadText = (row: Row) =>
  row.hoursToday?.toBeRead
    ? `Not read since ${day(row.readOn)}: by now between ${hours(row.hoursToday.least)} and ${hours(row.hoursToday.most)} h. Read its meter.`
    : ''

/** What an operator may notice. */
export const symptomWords: Record<Schemas['Symptom'], string> = {
  ticking: 'ticking or clatter',
  power: 'less power',
  smoke: 'more smoke',
  starting: 'hard to start',
  deadCylinder: 'a cylinder does not fire',
}

/** A report or a follow-up in a few words. */
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
export function decision(row: Row, figures: Figures): Decision {
  const finding = row.findings[0]
  if (finding) {
    const more = row.findings.length - 1
    return {
      main: `${finding.point} found ${verdictWords[finding.state]}, ${figures.withUnit(finding.mm)} where ${figures.figure(finding.limitMm)} is the ${finding.state === 'tight' ? 'least' : 'most'}`,
      below: more > 0 ? `not set, and ${plural(more, 'point')} more: now` : 'not set: now',
      tone: finding.state === 'tight' ? 'tight' : 'loose',
    }
  }
  const { rule, hours: left, date } = row.decides
  if (rule === 'drift') return drifting(row)
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
  if (!row.hasFigures) return { main: 'Never measured here', below: 'open it, or import its logbook', tone: 'ink' }
  return row.noInterval
    ? { main: 'No interval given', below: 'add hours or months to its type in the book', tone: 'ink' }
    : { main: 'No limit in sight', below: 'nothing drifts out within the years looked at', tone: 'ink' }
}

/** Why an engine is worth an early look: what is named, else the chance of all its valves; a point only with its own odds. */
function drifting(row: Row): Decision {
  const { hours: left, date } = row.decides
  const { named, risk, points, valves } = row.voice
  const book =
    row.aheadOfBookHours && row.aheadOfBookHours > 0
      ? `; the manual would allow ${hours(row.aheadOfBookHours)} h more`
      : ''
  const worth = !left || left <= 0 ? 'check now' : date ? `check by ${day(date)}` : `check in ${hours(left)} h`
  const own = points[0]
  const main = named[0]
    ? namedText(named[0])
    : own
      ? `${own.point}: ${chance(own.p)} that it is out of limits before the manual’s date`
      : risk != null
        ? `${chance(risk)} that ${valves === 1 ? 'its valve' : `one of ${valves} valves`} is out of limits before the manual’s date`
        : 'An early look is worth its price'
  return { main, below: `${worth}${book}`, tone: 'ink' }
}

/** The same in a few words, over an engine's page. */
export function decidesWhen(row: Row): string {
  const { rule, hours: left, date } = row.decides
  if (row.findings[0]) return `${row.findings[0].point} decides: now`
  if (rule === 'nothing')
    return !row.hasFigures ? 'Never measured here' : row.noInterval ? 'No interval given' : 'No limit in sight'
  if (rule === 'symptom') return `An operator’s report decides: ${day(date)}`
  if (rule === 'followUp') return `A follow-up decides: ${day(date)}`
  const who = rule === 'drift' ? 'Drift decides' : 'The book decides'
  if (left == null) return `${who}: ${day(date)}`
  if (left < 0) return `${who}: overdue by ${hours(-left)} h`
  return left === 0 ? `${who}: now` : `${who}: in ${hours(left)} h`
}
