import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { planLines, planRows } from './planLines'
import { boardRows } from './rows'

const job = (id: string, engine: string, machine: string, site: string, waits: string[] = []) =>
  ({
    id,
    engine,
    machine,
    site,
    title: 'Overhead',
    dueDate: null,
    time: { low: 3, middle: 4, high: 5, timed: 0 },
    tools: [],
    waiting: waits.length ? [{ visitId: 'v', date: '2026-11-20', job: 'spotCheck', points: waits }] : [],
  }) as unknown as Schemas['JobResponse']
const at = (jobId: string, date: string, personId: string, mateId: string | null = null) =>
  ({
    jobId,
    personId,
    mateId,
    date,
    lastDate: date,
    pinned: false,
    because: 'It is due.',
  }) as Schemas['PlacementResponse']
const person = (id: string, name: string) =>
  ({ id, name, skills: [], weekHours: [], hours: [8, 8] }) as unknown as Schemas['PlanPerson']
const plan = {
  from: '2026-11-23',
  days: 28,
  people: [person('m', 'Marit'), person('o', 'Olav')],
  jobs: [
    job('a', 'port main', 'Skarv', 'North Quay', ['1E', '4E']),
    job('b', 'starboard main', 'Skarv', 'North Quay'),
    job('c', 'Lorry 1', 'Lorry 1', 'Depot'),
    job('d', 'Lorry 2', 'Lorry 2', 'Depot'),
  ],
  placements: [at('a', '2026-11-25', 'o', 'm'), at('b', '2026-11-24', 'm'), at('c', '2026-11-24', 'o')],
} as unknown as Schemas['PlanResponse']

describe('the rows of the board', () => {
  it('by mechanic hold everyone, and a job for two stands in both', () => {
    const rows = boardRows(plan, 'mechanic')
    expect(rows.map((r) => [r.name, r.blocks.map((b) => b.job.engine)])).toEqual([
      ['Marit', ['starboard main', 'port main']],
      ['Olav', ['Lorry 1', 'port main']],
    ])
    expect(rows[0]!.blocks[1]!.asMate).toBe(true)
  })
  it('by machine hold a job once, with whoever leads it', () => {
    const rows = boardRows(plan, 'machine')
    expect(rows.map((r) => [r.name, r.below, r.blocks.length])).toEqual([
      ['Lorry 1', ['Depot'], 1],
      ['Skarv', ['North Quay'], 2],
    ])
    expect(rows[1]!.blocks.map((b) => [b.personId, b.asMate])).toEqual([
      ['m', false],
      ['o', false],
    ])
    expect(rows[1]!.person).toBeNull()
  })
  it('by site count their jobs', () => {
    expect(boardRows(plan, 'site').map((r) => [r.name, r.below[0]])).toEqual([
      ['Depot', '1 job'],
      ['North Quay', '2 jobs'],
    ])
  })
})

describe('the plan as a list', () => {
  it('goes by day and names both of a crew', () => {
    expect(planLines(plan).map((l) => [l.at.date, l.who, l.job.engine])).toEqual([
      ['2026-11-24', 'Marit', 'starboard main'],
      ['2026-11-24', 'Olav', 'Lorry 1'],
      ['2026-11-25', 'Olav with Marit', 'port main'],
    ])
  })
  it('is a file with why each stands there, and what waits there', () => {
    const rows = planRows(plan)
    expect(rows).toHaveLength(4)
    expect(rows[1]!.slice(-2)).toEqual(['It is due.', ''])
    expect(rows[3]!.slice(-2)).toEqual(['It is due.', '1E, 4E'])
  })
})
