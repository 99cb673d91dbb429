import type { Schemas } from '../../api/client'
import type { SeriesVisit } from '../../instruments/clearanceSeries'

type Drift = Schemas['EngineDriftResponse']
type Point = Schemas['DriftPoint']

/** A point's figures as the drawings take them, each with its visit, its measurer and what it was judged by. */
export function seriesOf(drift: Drift, point: Point, name: (id?: string | null) => string): SeriesVisit[] {
  const visits = new Map(drift.visits.map((v) => [v.visitId, v]))
  return point.visits.flatMap((p) => {
    const v = visits.get(p.visitId)
    if (!v) return []
    return [
      {
        visitId: v.visitId,
        hours: v.hours,
        date: v.date,
        foundMm: p.found?.mm ?? null,
        leftMm: p.left?.mm ?? null,
        foundLowMm: p.found?.lowerMm,
        foundHighMm: p.found?.upperMm,
        excluded: v.leftOut != null,
        leftOut: v.leftOut,
        partChanged: p.partChanged,
        who: name((p.left ?? p.found)?.by) || v.who,
        revision: v.revision,
        why: p.leftWhy,
      },
    ]
  })
}
