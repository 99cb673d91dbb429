import { describe, expect, it } from 'vitest'
import { addDays, daysBetween, weekday } from './dayMath'

describe('days are counted by the calendar, summer time or not', () => {
  it('over the end of a month and of a year', () => {
    expect(addDays('2026-11-25', 7)).toBe('2026-12-02')
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
    expect(addDays('2026-03-01', -1)).toBe('2026-02-28')
  })
  it('over the night of the clocks', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2)
  })
  it('and a week begins on Monday', () => {
    expect(weekday('2026-11-23')).toBe(0)
    expect(weekday('2026-11-29')).toBe(6)
  })
})
