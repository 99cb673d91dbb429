import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { form, plural } from '../../shared/words/counts'

type Figures = Schemas['YearFigures']

const listed = (words: string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`

/** What was opened: 2 overheads and 1 spot check. */
export const opened = (f: Figures) =>
  listed([
    ...(f.overheads ? [plural(f.overheads, 'overhead')] : []),
    ...(f.spotChecks ? [plural(f.spotChecks, 'spot check')] : []),
    ...(f.builds ? [plural(f.builds, 'build')] : []),
  ])

/** What was found: 3 of 48 out of limits. */
export const found = (f: Figures) =>
  f.measured ? `${f.outAsFound} of ${f.measured} out of limits` : f.openings ? 'none measured as found' : ''

/** Hours of work to a tenth: 4.5 h. */
export const work = (hours: number) => `${hours.toFixed(1)} h`

/** The stretch in a sentence. */
export function headline(f: Figures): string {
  if (!f.openings) return 'No engine was opened.'
  const valves = f.measured
    ? ` Of ${plural(f.measured, 'valve')} measured, ${f.outAsFound} ${form(f.outAsFound, 'was', 'were')} out of limits as found.`
    : ''
  return `${opened(f)} signed.${valves}`
}

/** What the work took, as far as it was timed. */
export const timed = (f: Figures) =>
  f.timed ? `${work(f.workedHours)} of work, timed at ${f.timed} of ${plural(f.openings ?? 0, 'opening')}.` : ''

/** What the manual’s interval would have asked for in the same days. */
export function byTheBook(f: Figures): string {
  if (!f.bookOpenings) return 'By the manual’s interval no overhead would have fallen due.'
  const due = `By the manual’s interval ${plural(f.bookOpenings, 'overhead')} would have fallen due; ${f.overheads} ${form(f.overheads, 'was', 'were')} done.`
  if (f.bookHours == null) return due
  const whose = f.bookCosted < f.bookOpenings ? `the ${f.bookCosted} of types timed here` : 'those'
  return `${due} At what overheads of each type took here, ${whose} come to ${work(f.bookHours)} of work.`
}

/** A valve that wears otherwise than its kind, and since when. */
export const failing = (v: Schemas['YearFailing']) =>
  v.since ? `${v.point} wears otherwise since ${day(v.since)}` : `${v.point} has worn fast all its life`
