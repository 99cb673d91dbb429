import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { weekOf } from './weekOf'

const person = (id: string, name: string) => ({ id, name, skills: [], weekHours: [], hours: [] })
const job = (id: string, engine: string, site: string) => ({ id, engine, site }) as Schemas['JobResponse']
const placed = (jobId: string, personId: string, date: string, more = {}) => ({
  jobId,
  personId,
  mateId: null,
  date,
  lastDate: date,
  pinned: false,
  because: '',
  ...more,
})

describe('the week of a person', () => {
  const week = weekOf({
    // A Tuesday.
    today: '2026-12-01',
    people: [person('m', 'Marit'), person('o', 'Olav'), person('t', 'Tove')],
    jobs: [job('1', 'Generator', 'North Quay'), job('2', 'Port main', 'North Quay'), job('3', 'Lorry 3', 'Depot')],
    placements: [
      placed('2', 'm', '2026-12-02', { mateId: 'o' }),
      placed('1', 'm', '2026-11-30', { lastDate: '2026-12-01' }),
      placed('3', 'o', '2026-12-08'),
    ],
    away: [
      {
        id: 'a',
        personId: 't',
        machineId: null,
        who: 'Tove',
        from: '2026-12-01',
        to: '2026-12-04',
        why: 'ill',
        laidUp: false,
      },
    ],
  })

  it('begins with today, and what began before stands there', () =>
    expect(week[0]!.days).toEqual([
      { day: 'Today', jobs: [{ id: '1', engine: 'Generator', with: '' }] },
      { day: 'Wed', jobs: [{ id: '2', engine: 'Port main', with: 'Olav' }] },
    ]))

  it('names whoever helps, and nothing of the week after', () =>
    expect(week[1]).toMatchObject({
      places: ['North Quay'],
      days: [{ day: 'Wed', jobs: [{ engine: 'Port main', with: 'Marit' }] }],
    }))

  it('says who is away and until when', () =>
    expect(week[2]).toMatchObject({ away: 'ill, until 4 Dec 2026', days: [] }))
})
