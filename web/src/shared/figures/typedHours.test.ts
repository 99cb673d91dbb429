import { describe, expect, it } from 'vitest'
import { hoursWays, notHours, typedHours } from './typedHours'

describe('typed hours', () => {
  it.each([
    ['12345', [12345]],
    ['12 345', [12345]],
    ['12’345', [12345]],
    ['12,345.5', [12345.5]],
    ['12.345,5', [12345.5]],
    ['1.234.567', [1234567]],
    ['9400.5', [9400.5]],
    ['9400,25', [9400.25]],
    ['0.480', [0.48]],
    ['1480.000', [1480]],
    ['3,200', [3.2, 3200]],
    ['1.480', [1.48, 1480]],
    ['12.34,5', []],
    ['1,23,456', []],
    ['about 900', []],
    ['-5', []],
  ])('%s can mean %j', (text, ways) => expect(hoursWays(text)).toEqual(ways))

  it('asks back with both readings, and takes neither', () => {
    expect(typedHours('3,200')).toBeNaN()
    expect(notHours('3,200')).toBe("'3,200' could be 3.2 h or 3200 h: say which.")
    expect(typedHours('')).toBeUndefined()
    expect(notHours('3200')).toBeUndefined()
  })
})
