import { describe, expect, it } from 'vitest'
import { crankPath } from './crankPath'

const where = (p: { x: number; y: number }) => [Math.round(p.x) + 0, Math.round(p.y) + 0]

describe('the crank as it is drawn', () => {
  it('has zero at the top, and a quarter turn on to the right where it turns clockwise', () => {
    const path = crankPath(0, 0, 100, 40, false)
    expect(where(path.at(0))).toEqual([0, -100])
    expect(where(path.at(90))).toEqual([110, 0])
  })

  it('turns to the left where it is barred anticlockwise', () => {
    expect(where(crankPath(0, 0, 100, 40, true).at(90))).toEqual([-110, 0])
  })

  it('comes up at the top again after one turn, one lap further out: the same mark twice in a cycle', () => {
    const path = crankPath(0, 0, 100, 40, true)
    expect(where(path.at(360))).toEqual([0, -140])
    expect(where(path.at(720))).toEqual([0, -180])
  })

  it('draws a stretch from its one end to its other', () => {
    const points = crankPath(0, 0, 100, 40, false).line(0, 90).split(/[ML]/).filter(Boolean)
    expect(points[0]).toBe('0.0 -100.0')
    expect(points.at(-1)).toBe('110.0 0.0')
  })
})
