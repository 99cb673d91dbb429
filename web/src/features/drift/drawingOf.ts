import type { Schemas } from '../../api/client'
import type { SeriesVisit } from '../../instruments/clearanceSeries'
import type { ClearanceProps } from '../../instruments/useClearanceDrawing'
import type { Figures } from '../../shared/figures/useFigures'
import { usualOf } from '../../shared/words/drift'

type Drift = Schemas['EngineDriftResponse']
type Point = Schemas['EngineDriftPointResponse']

/** A point's figures as the drawings take them, each with its visit, its measurer and what it was judged by. */
function seriesOf(drift: Drift, point: Point, name: (id?: string | null) => string): SeriesVisit[] {
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

/** How the drawings of an engine are looked at: all of them alike. */
export interface DriftLook {
  drift: Drift
  figures: Figures
  stretch: [number, number] | null
  dates: { today: string; hoursPerWeek: number } | null
  sisters: boolean
  name: (id?: string | null) => string
}

/** A point's drawing, small or large. */
export const drawingOf = (look: DriftLook, point: Point, says: string): ClearanceProps => ({
  series: seriesOf(look.drift, point, look.name),
  fan: point.fan,
  totalHours: look.drift.totalHours,
  minMm: point.minMm,
  maxMm: point.maxMm,
  figures: look.figures,
  label: `${point.label}: ${says}`,
  stretch: look.stretch,
  dates: look.dates,
  windows: point.specs,
  usual: look.sisters ? usualOf(look.drift, point) : null,
})
