import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { byWeek, grouped, mondayOf } from './weeks'

const row = (name: string, date: string | null) => ({ name, decides: { rule: 'bookHours', date } }) as Schemas['DueRow']

describe('the due list by week', () => {
  it('begins each week on its Monday', () => {
    expect(mondayOf('2026-11-29')).toBe('2026-11-23')
    expect(mondayOf('2026-11-30')).toBe('2026-11-30')
  })
  it('puts what is overdue into this week and leaves out what has no day', () => {
    const weeks = byWeek(
      [row('late', '2026-08-01'), row('soon', '2026-11-27'), row('later', '2026-12-07'), row('never', null)],
      '2026-11-25',
    )
    expect(weeks.map((w) => [w.monday, w.rows.map((r) => r.name)])).toEqual([
      ['2026-11-23', ['late', 'soon']],
      ['2026-12-07', ['later']],
    ])
  })
})

describe('the due list by something else', () => {
  it('goes by name, and in each group the first due first', () => {
    const at = (name: string, site: string, date: string | null) => ({ ...row(name, date), site }) as Schemas['DueRow']
    const groups = grouped(
      [
        at('b', 'Quay', '2026-12-07'),
        at('a', 'Depot', '2026-12-01'),
        at('c', 'Quay', '2026-11-01'),
        at('d', 'Quay', null),
      ],
      (r) => r.site,
    )
    expect(groups.map((g) => [g.key, g.rows.map((r) => r.name)])).toEqual([
      ['Depot', ['a']],
      ['Quay', ['c', 'b']],
    ])
  })
})
