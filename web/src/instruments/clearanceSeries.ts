import { day } from '../shared/figures/days'
import { hours } from '../shared/figures/hours'
import type { Figures } from '../shared/figures/useFigures'
import { leftOutWord } from '../shared/words/trend'

/** A visit of a point's series: as found, as left; a figure, or bounds where only those are known. */
export interface SeriesVisit {
  visitId?: string
  hours: number
  date: string
  foundMm: number | null
  leftMm: number | null
  foundLowMm?: number | null
  foundHighMm?: number | null
  excluded: boolean
  /** Why it is left out of the rate. */
  leftOut?: string | null
  partChanged: boolean
  who?: string
  revision?: string | null
  why?: string | null
}

/** One figure of a series as it is drawn: a ring as found, a dot as left, a bar between bounds. */
export interface SeriesMark {
  key: string
  visitId?: string
  isRing: boolean
  mm: number
  low?: number | null
  high?: number | null
  hours: number
  date: string
  excluded: boolean
  side: 'tight' | 'loose' | ''
  says: string
}

/** Runs: each begins where the point was set, and goes on through every figure found before the next setting. */
export function visitRuns(visits: SeriesVisit[]): { visit: SeriesVisit; mm: number }[][] {
  const all: { visit: SeriesVisit; mm: number }[][] = [[]]
  for (const v of visits) {
    if (v.partChanged) all.push([])
    if (v.foundMm !== null && !v.excluded) all.at(-1)!.push({ visit: v, mm: v.foundMm })
    if (v.leftMm !== null) all.push([{ visit: v, mm: v.leftMm }])
  }
  return all.filter((run) => run.length > 1)
}

/** The same as pairs of hours and mm. */
export const runsOf = (visits: SeriesVisit[]): [number, number][][] =>
  visitRuns(visits).map((run) => run.map(({ visit, mm }): [number, number] => [visit.hours, mm]))

/** The figures of a series, each with what it says to whoever asks. */
export function marksOf(
  visits: SeriesVisit[],
  window: { minMm?: number | null; maxMm?: number | null },
  figures: Figures,
): SeriesMark[] {
  const side = (mm: number) =>
    window.minMm != null && mm < window.minMm ? 'tight' : window.maxMm != null && mm > window.maxMm ? 'loose' : ''
  return visits.flatMap((v) => {
    const when = `${day(v.date)}, ${hours(v.hours)} h`
    const behind = [v.who && `by ${v.who}`, v.revision && `judged by rev. ${v.revision}`, v.why]
    const mark = (isRing: boolean, mm: number, said: (string | null | undefined | false)[]): SeriesMark => ({
      key: `${v.visitId ?? v.date}${v.hours}${isRing ? 'f' : 'l'}`,
      visitId: v.visitId,
      isRing,
      mm,
      hours: v.hours,
      date: v.date,
      excluded: isRing && v.excluded,
      side: side(mm),
      says: `${when}: ${[...said, ...behind].filter(Boolean).join(', ')}`,
    })
    const out: SeriesMark[] = []
    const leftOut = v.excluded && ['left out of the rate', leftOutWord(v.leftOut)].filter(Boolean).join(': ')
    const { foundLowMm: low, foundHighMm: high } = v
    if (v.foundMm !== null) {
      const between = low != null && high != null && high - low > 1e-9 && Math.abs((low + high) / 2 - v.foundMm) < 1e-9
      const found = between
        ? `found between ${figures.figure(low)} and ${figures.withUnit(high)}`
        : `found ${figures.withUnit(v.foundMm)}`
      out.push({ ...mark(true, v.foundMm, [found, side(v.foundMm), leftOut]), ...(between ? { low, high } : {}) })
    } else if (low != null || high != null) {
      const mm = (high ?? low)!
      const found = high != null ? `found under ${figures.withUnit(high)}` : `found over ${figures.withUnit(low)}`
      out.push({ ...mark(true, mm, [found, leftOut]), low: low ?? null, high: high ?? null })
    }
    if (v.leftMm !== null) out.push(mark(false, v.leftMm, [`left ${figures.withUnit(v.leftMm)}`]))
    if (v.partChanged && out.length) out.at(-1)!.says += ', a part was changed: its history begins here'
    return out
  })
}
