import type { Schemas } from '../../api/client'
import type { Figures } from '../../shared/figures/useFigures'

type Drift = Schemas['EngineDriftResponse']
type Point = Schemas['EngineDriftPointResponse']
type Figure = Schemas['DriftFigure']

const one = (f: Figure | null | undefined, figures: Figures): string => {
  if (!f) return ''
  const { mm, lowerMm: low, upperMm: high } = f
  if (mm != null) return figures.figure(mm)
  return high != null ? `<${figures.figure(high)}` : `>${figures.figure(low)}`
}

/** 0.32 → 0.40; one figure where nothing was set. */
export function figureText(point: Point, visitId: string, figures: Figures): string {
  const visit = point.visits.find((v) => v.visitId === visitId)
  if (!visit) return ''
  const [found, left] = [one(visit.found, figures), one(visit.left, figures)]
  return found && left ? `${found} → ${left}` : found || (left && `→ ${left}`)
}

/** What is seen, as rows for a file: a line a point and visit. */
export function driftRows(drift: Drift, name: (id?: string | null) => string): (string | number | null)[][] {
  const head = [
    'engine',
    'point',
    'date',
    'engine hours',
    'as found mm',
    'found from mm',
    'found to mm',
    'as left mm',
    'who',
    'revision',
    'left out of the rate',
  ]
  const rows = drift.points.flatMap((p) =>
    p.visits.map((v) => {
      const visit = drift.visits.find((o) => o.visitId === v.visitId)!
      return [
        drift.engine,
        p.label,
        visit.date,
        visit.hours,
        v.found?.mm ?? null,
        v.found?.lowerMm ?? null,
        v.found?.upperMm ?? null,
        v.left?.mm ?? null,
        name((v.left ?? v.found)?.by) || visit.who,
        visit.revision ?? null,
        visit.leftOut ?? null,
      ]
    }),
  )
  return [head, ...rows]
}
