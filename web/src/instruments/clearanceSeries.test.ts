import { describe, expect, it } from 'vitest'
import type { Figures } from '../shared/figures/useFigures'
import { marksOf, runsOf, type SeriesVisit } from './clearanceSeries'

const figures = { withUnit: (v: number) => `${v.toFixed(2)} mm` } as unknown as Figures
const visit = (
  hours: number,
  found: number | null,
  left: number | null,
  more: Partial<SeriesVisit> = {},
): SeriesVisit => ({
  hours,
  date: '2026-06-06',
  foundMm: found,
  leftMm: left,
  excluded: false,
  partChanged: false,
  ...more,
})

describe('a saw-tooth', () => {
  it('begins anew at every setting and runs through what was found untouched', () => {
    const life = [visit(0, null, 0.4), visit(1000, 0.38, null), visit(2000, 0.36, 0.4), visit(3000, 0.38, null)]
    expect(runsOf(life)).toEqual([
      [
        [0, 0.4],
        [1000, 0.38],
        [2000, 0.36],
      ],
      [
        [2000, 0.4],
        [3000, 0.38],
      ],
    ])
  })

  it('leaves out a visit that is left out of the rate, and ends where a part was changed', () => {
    const life = [
      visit(0, null, 0.4),
      visit(500, 0.3, null, { excluded: true }),
      visit(1000, 0.38, null),
      visit(2000, 0.36, null, { partChanged: true }),
    ]
    expect(runsOf(life)).toEqual([
      [
        [0, 0.4],
        [1000, 0.38],
      ],
    ])
  })

  it('says of every figure when, at how many hours, and on which side of its window', () => {
    const marks = marksOf([visit(18412, 0.32, 0.4, { excluded: true })], { minMm: 0.35, maxMm: 0.45 }, figures)
    expect(marks.map((m) => [m.isRing, m.side, m.excluded, m.says])).toEqual([
      [true, 'tight', true, '6 Jun 2026, 18\u202f412 h: found 0.32 mm, tight, left out of the rate'],
      [false, '', false, '6 Jun 2026, 18\u202f412 h: left 0.40 mm'],
    ])
  })

  it('of a point without a window has no side', () =>
    expect(marksOf([visit(0, 9, null)], {}, figures)[0]!.side).toBe(''))
})
