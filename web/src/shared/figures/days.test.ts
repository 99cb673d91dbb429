import { describe, expect, it } from 'vitest'
import { day, isoOf, moment, typedDay } from './days'

describe('a day', () => {
  it('is said with its month in words and its year, everywhere', () => {
    expect(day('2026-11-21')).toBe('21 Nov 2026')
    expect(day('2026-09-01T23:59:00Z')).toBe('1 Sep 2026')
    expect(day(null)).toBe('—')
  })

  it('that cannot be read is shown as it came', () => expect(day('soon')).toBe('soon'))

  it.each([
    ['21 Nov 2026', '2026-11-21'],
    ['21 nov', '2026-11-21'],
    ['21 November 26', '2026-11-21'],
    ['21.11.2026', '2026-11-21'],
    ['1.2.26', '2026-02-01'],
    ['21/11/26', '2026-11-21'],
    ['2026-11-21', '2026-11-21'],
    ['today', '2026-11-25'],
    ['Yesterday', '2026-11-24'],
  ])('typed as %s is %s', (typed, iso) => expect(typedDay(typed, new Date(2026, 10, 25))).toBe(iso))

  it.each(['31.2.2026', '11/25/2026', '32 Nov 2026', '21 Nob 2026', 'next week'])('typed as %s is no day', (typed) =>
    expect(typedDay(typed, new Date(2026, 10, 25))).toBeNull(),
  )

  it('not typed is none', () => expect(typedDay('  ')).toBeUndefined())

  it('the first of January is yesterday of the second', () =>
    expect(typedDay('yesterday', new Date(2026, 0, 1))).toBe('2025-12-31'))

  it('of a moment is the one on this machine’s wall', () => {
    const at = new Date(2026, 10, 21, 23, 5)
    expect(isoOf(at)).toBe('2026-11-21')
    expect(moment(at.toISOString())).toBe('21 Nov 2026 23:05')
  })
})
