import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import type { Figures } from '../../shared/figures/useFigures'
import { drawingOf } from './drawingOf'
import { driftRows, figureText } from './driftTable'

const figures = { figure: (v: number | null | undefined) => (v == null ? '—' : v.toFixed(2)) } as unknown as Figures
const figure = (mm: number | null, lowerMm: number | null = null, upperMm: number | null = null, by = 'marit') =>
  ({ mm, lowerMm, upperMm, by }) as Schemas['DriftFigure']
const point = {
  label: '2E',
  kind: 'exhaust',
  minMm: 0.35,
  maxMm: 0.45,
  fan: [],
  specs: [],
  visits: [
    { visitId: 'a', found: figure(0.36), left: figure(0.4), partChanged: false, leftWhy: null },
    { visitId: 'b', found: figure(null, null, 0.05, ''), left: null, partChanged: true, leftWhy: 'no shim' },
    { visitId: 'c', found: figure(null, 0.6), left: null, partChanged: false, leftWhy: null },
    { visitId: 'd', found: null, left: figure(0.4), partChanged: false, leftWhy: null },
  ],
} as unknown as Schemas['EngineDriftPointResponse']
const visit = (visitId: string, hours: number, leftOut: string | null = null) => ({
  visitId,
  hours,
  date: '2026-05-01',
  who: 'Olav',
  revision: 'A',
  leftOut,
})
const drift = {
  engine: 'Set 1',
  totalHours: 4000,
  points: [point],
  visits: [visit('a', 1000), visit('b', 2000, 'warm'), visit('c', 3000), visit('d', 3500)],
  kinds: [{ kind: 'exhaust', mmPer1000h: -0.012 }],
} as unknown as Schemas['EngineDriftResponse']
const name = (id?: string | null) => (id === 'marit' ? 'Marit' : '')

describe('the table beside the drawings', () => {
  it('says found and left, one figure where nothing was set, bounds as bounds', () =>
    expect(['a', 'b', 'c', 'd', 'e'].map((v) => figureText(point, v, figures))).toEqual([
      '0.36 → 0.40',
      '<0.05',
      '>0.60',
      '→ 0.40',
      '',
    ]))

  it('is a file with a line a point and visit, what is left out of the rate with its reason', () => {
    const rows = driftRows(drift, name)
    expect(rows).toHaveLength(5)
    expect(rows[0]).toHaveLength(rows[1]!.length)
    expect(rows[1]).toEqual(['Set 1', '2E', '2026-05-01', 1000, 0.36, null, null, 0.4, 'Marit', 'A', null])
    expect(rows[2]!.slice(4)).toEqual([null, null, 0.05, null, 'Olav', 'A', 'warm'])
  })
})

describe('a point’s drawing', () => {
  const look = { drift, figures, stretch: null, dates: null, sisters: true, name }
  it('takes every visit that is known, with who measured and what is left out', () => {
    const drawn = drawingOf(look, point, 'closing')
    expect(drawn.series.map((s) => [s.hours, s.foundMm, s.leftMm, s.excluded, s.who])).toEqual([
      [1000, 0.36, 0.4, false, 'Marit'],
      [2000, null, null, true, 'Olav'],
      [3000, null, null, false, 'Marit'],
      [3500, null, 0.4, false, 'Marit'],
    ])
    expect(drawn.series[1]!.partChanged).toBe(true)
    expect(drawn.label).toBe('2E: closing')
  })
  it('has its sisters’ rate behind it only where that is asked', () => {
    expect(drawingOf(look, point, '').usual).toBe(-0.012)
    expect(drawingOf({ ...look, sisters: false }, point, '').usual).toBeNull()
  })
})
