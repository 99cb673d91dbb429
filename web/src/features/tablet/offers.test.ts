import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { choices, offers } from './offers'

const row = (name: string, machineName = name, site = 'Depot') =>
  ({ engineId: name, name, machineName, site }) as Schemas['DueRow']
const rows = [
  row('a'),
  row('b', 'Skarv', 'North Quay'),
  row('c', 'Skarv', 'North Quay'),
  row('d'),
  row('e'),
  row('f'),
  row('g'),
  row('h'),
]
const plan = {
  jobs: [
    { id: 'j1', engineId: 'd' },
    { id: 'j2', engineId: 'e' },
  ],
  placements: [
    { jobId: 'j1', date: '2026-11-26' },
    { jobId: 'j2', date: '2026-11-27' },
  ],
} as unknown as Parameters<typeof offers>[1]

describe('what is offered to be taken along', () => {
  it('is today’s plan first, then the next that are due, without what is here already', () => {
    const said = offers(rows, plan, new Set(['a']), '2026-11-26')

    expect(said.map((o) => [o.why, o.engines.map((e) => e.name)])).toEqual([
      ['In today’s plan', ['d']],
      ['Due next', ['b', 'c', 'e', 'f', 'g']],
    ])
  })

  it('is the due list alone where there is no plan, and nothing where all is here', () => {
    expect(offers(rows, null, new Set(), '2026-11-26').map((o) => o.why)).toEqual(['Due next'])
    expect(offers(rows, null, new Set(rows.map((r) => r.engineId)), '2026-11-26')).toEqual([])
  })

  it('is a whole site, or a machine that has more than one engine', () => {
    expect(choices(rows).map((c) => [c.group, c.name, c.engines.length])).toEqual([
      ['Sites', 'Depot', 6],
      ['Sites', 'North Quay', 2],
      ['Machines', 'Skarv', 2],
    ])
  })
})
