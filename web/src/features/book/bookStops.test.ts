import { describe, expect, it } from 'vitest'
import { namesOf, stopsOf, stopsText } from './bookStops'

describe('a list as the book has it', () => {
  it('is read by valve number, one stop a line', () =>
    expect(stopsOf('0: 8 6\n180°: 4 7', 'crankDegrees')).toEqual([
      { crankDeg: 0, points: ['8', '6'] },
      { crankDeg: 180, points: ['4', '7'] },
    ]))

  it('may count turns, of the crank or of the cam', () => {
    expect(stopsOf('0,5: 1', 'crankTurns')[0]!.crankDeg).toBe(180)
    expect(stopsOf('0.25: 1', 'camTurns')[0]!.crankDeg).toBe(180)
    expect(stopsOf('90: 1', 'camDegrees')[0]!.crankDeg).toBe(180)
  })

  it('keeps names of several words together where they are parted by commas', () =>
    expect(stopsOf('0: 1 left inlet, 2 right inlet', 'crankDegrees')[0]!.points).toEqual([
      '1 left inlet',
      '2 right inlet',
    ]))

  it('comes back as it was typed', () => {
    const text = '0: 8 6\n180: 1 left inlet, 2'
    expect(stopsText(stopsOf(text, 'crankDegrees'))).toBe(text)
  })

  it('gives the points names of the book, or none', () => {
    expect(namesOf('1 2 3')).toEqual(['1', '2', '3'])
    expect(namesOf('1 left, 1 right')).toEqual(['1 left', '1 right'])
    expect(namesOf('  ')).toBeNull()
  })
})
