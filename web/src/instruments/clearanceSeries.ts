import { day } from '../shared/figures/days'
import { hours } from '../shared/figures/hours'
import type { Figures } from '../shared/figures/useFigures'

/** A visit of a point's series: as found, as left. */
export interface SeriesVisit {
  hours: number
  date: string
  foundMm: number | null
  leftMm: number | null
  excluded: boolean
  partChanged: boolean
}

/** One figure of a series as it is drawn: a ring as found, a dot as left. */
export interface SeriesMark {
  key: string
  isRing: boolean
  mm: number
  hours: number
  excluded: boolean
  side: 'tight' | 'loose' | ''
  says: string
}

/** Runs: each begins where the point was set, and goes on through every figure found before the next setting; pairs of hours and mm. */
export function runsOf(visits: SeriesVisit[]): [number, number][][] {
  const all: [number, number][][] = [[]]
  for (const v of visits) {
    if (v.partChanged) all.push([])
    if (v.foundMm !== null && !v.excluded) all.at(-1)!.push([v.hours, v.foundMm])
    if (v.leftMm !== null) all.push([[v.hours, v.leftMm]])
  }
  return all.filter((run) => run.length > 1)
}

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
    const mark = (isRing: boolean, mm: number, says: string): SeriesMark => ({
      key: `${v.date}${v.hours}${isRing ? 'f' : 'l'}`,
      isRing,
      mm,
      hours: v.hours,
      excluded: isRing && v.excluded,
      side: side(mm),
      says: `${when}: ${says}`,
    })
    const out: SeriesMark[] = []
    if (v.foundMm !== null) {
      const said = [`found ${figures.withUnit(v.foundMm)}`, side(v.foundMm), v.excluded ? 'left out of the rate' : '']
      out.push(mark(true, v.foundMm, said.filter(Boolean).join(', ')))
    }
    if (v.leftMm !== null) out.push(mark(false, v.leftMm, `left ${figures.withUnit(v.leftMm)}`))
    return out
  })
}
