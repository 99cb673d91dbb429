import { day, hours } from '../../app/figures'
import type { Schemas } from '../../api/client'

type Row = Schemas['DueRow']

const numbers = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
]
const count = (n: number) => numbers[n] ?? n.toString()

/** Whether a drift limit falls before the book. */
export const driftsBeforeBook = (row: Row) =>
  row.decides.rule === 'drift' &&
  (row.bookHoursLeft === null || row.bookHoursLeft === undefined || row.bookHoursLeft > 0)

/** The book's own day has passed. */
export const isOverdue = (row: Row) =>
  row.bookHoursLeft !== null && row.bookHoursLeft !== undefined && row.bookHoursLeft <= 0 && row.hasFigures

/** The yard in one or two plain sentences, worst first. */
export function headline(rows: Row[]): string {
  const tight = rows.flatMap((r) => r.findings).filter((f) => f.state === 'tight').length
  const loose = rows.flatMap((r) => r.findings).filter((f) => f.state === 'loose').length
  const drifting = rows.filter(driftsBeforeBook).length
  const overdue = rows.filter(isOverdue).length
  const said: string[] = []
  if (tight) said.push(`${count(tight)} ${tight === 1 ? 'valve is' : 'valves are'} tight now.`)
  if (loose) said.push(`${count(loose)} ${loose === 1 ? 'is' : 'are'} loose.`)
  if (drifting)
    said.push(
      `${count(drifting)} ${drifting === 1 ? 'engine drifts out before its' : 'engines drift out before their'} book date.`,
    )
  if (overdue) said.push(`${count(overdue)} ${overdue === 1 ? 'is' : 'are'} overdue by the book.`)
  if (said.length === 0) return rows.length === 0 ? 'The yard is empty.' : 'Nothing presses. The book decides.'
  return said.join(' ')
}

/** What decides an engine's next overhead: a line and a smaller one below it. */
export function decision(
  row: Row,
  figure: (mm?: number | null) => string,
  rate: (r: number) => string,
): { main: string; below: string; tone: 'tight' | 'loose' | 'ink' } {
  const finding = row.findings[0]
  if (finding)
    return {
      main: `${finding.point} ${finding.state}, ${figure(finding.mm)} of ${figure(finding.limitMm)}`,
      below: row.findings.length > 1 ? `now, with ${row.findings.length - 1} more` : 'found and not set: now',
      tone: finding.state === 'tight' ? 'tight' : 'loose',
    }
  const { rule, hours: left, date } = row.decides
  const when = date ? `about ${day(date)}` : 'no date at the present use'
  if (rule === 'drift') {
    const moving = row.driftSide === 'loose' ? 'opening' : 'closing'
    const at = row.driftMmPer1000h
      ? `${row.driftPoint} ${moving} ${rate(row.driftMmPer1000h)} a 1000 h`
      : `${row.driftPoint} near its limit`
    const ahead =
      row.aheadOfBookHours && row.aheadOfBookHours > 0
        ? `${hours(row.aheadOfBookHours)} h before the book`
        : 'before the book'
    return {
      main: at,
      below: left && left > 0 ? `drift, ${ahead}, ${when}` : `drift: the risk is reached now`,
      tone: row.driftSide === 'loose' ? 'loose' : 'tight',
    }
  }
  if (rule === 'bookHours' || rule === 'firstCheck') {
    const name = rule === 'firstCheck' ? 'first check after the build' : 'book, hours'
    return left !== null && left !== undefined && left < 0
      ? { main: `${name}: overdue ${hours(-left)} h`, below: `was due ${when}`, tone: 'ink' }
      : { main: `${name}, in ${hours(left ?? 0)} h`, below: when, tone: 'ink' }
  }
  if (rule === 'bookMonths') return { main: 'book, calendar', below: `on ${day(date)}`, tone: 'ink' }
  if (row.noInterval && row.hasFigures)
    return { main: 'no interval given', below: 'add hours or months to its type in the book', tone: 'ink' }
  return row.hasFigures
    ? { main: 'nothing decides', below: 'the book gives no interval', tone: 'ink' }
    : { main: 'never opened on record', below: 'start an overhead, or import its logbook', tone: 'ink' }
}

export const machineNames: Record<Row['machine'], string> = {
  lorry: 'Lorry',
  tractor: 'Tractor',
  mower: 'Mower',
  ferry: 'Ferry',
  generator: 'Standby generator',
}
