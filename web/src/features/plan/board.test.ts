import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { blocksOf, boardDays, load } from './board'

const job = (id: string, engine: string, dueDate: string | null = null) =>
  ({ id, engine, dueDate, time: { low: 3, middle: 4, high: 5, timed: 0 } }) as Schemas['JobResponse']
const at = (jobId: string, date: string, lastDate = date, personId = 'marit', mateId: string | null = null) =>
  ({ jobId, personId, mateId, date, lastDate, pinned: false, because: '' }) as Schemas['PlacementResponse']
const plan = {
  from: '2026-11-23',
  days: 28,
  jobs: [job('a', 'Lorry 1', '2026-11-20'), job('b', 'Lorry 2'), job('c', 'Set 3')],
  placements: [
    at('a', '2026-11-24'),
    at('b', '2026-11-25', '2026-11-26', 'marit', 'olav'),
    at('c', '2026-12-02'),
    at('gone', '2026-11-24'),
  ],
} as unknown as Schemas['PlanResponse']

describe('the board of a plan', () => {
  it('draws names that would run into one another on lines of their own', () => {
    const blocks = blocksOf(plan, (p) => p.personId === 'marit' || p.mateId === 'marit', 'marit')
    expect(blocks.map((b) => [b.job.engine, b.start, b.length, b.lane])).toEqual([
      ['Lorry 1', 1, 1, 0],
      ['Lorry 2', 2, 2, 1],
      ['Set 3', 9, 1, 0],
    ])
  })
  it('knows the day a job is due though it lies before the board', () => {
    expect(blocksOf(plan, (p) => p.personId === 'marit' || p.mateId === 'marit', 'marit').map((b) => b.due)).toEqual([
      -3,
      null,
      null,
    ])
  })
  it('shows the second of a crew the same job', () => {
    expect(
      blocksOf(plan, (p) => p.personId === 'olav' || p.mateId === 'olav', 'olav').map((b) => [b.job.engine, b.asMate]),
    ).toEqual([['Lorry 2', true]])
  })
  it('counts the hours planned of those worked', () => {
    const marit = { id: 'marit', hours: [8, 8, 0] } as unknown as Schemas['PlanPerson']
    expect(load(plan, marit)).toEqual({ used: 12, all: 16 })
  })
  it('marks Mondays and week-ends', () => {
    const days = boardDays('2026-11-27', 4)
    expect(days.map((d) => d.letter).join('')).toBe('FSSM')
    expect(days.map((d) => d.isWeekend)).toEqual([false, true, true, false])
    expect(days[3]!.isMonday).toBe(true)
  })
})
