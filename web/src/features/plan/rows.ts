import type { Schemas } from '../../api/client'
import { machineNames } from '../../shared/words/machines'
import { hours } from '../../shared/figures/hours'
import { blocksOf, load, type Block } from './board'

/** What the board's rows are: who works, what is worked on, or where. */
export type BoardView = 'mechanic' | 'machine' | 'site'

/** A row of the board. Only a mechanic's takes a block from another row: a machine or a site stays what it is. */
export interface BoardRow {
  key: string
  name: string
  below: string[]
  blocks: Block[]
  lanes: number
  /** Whose row it is, and the hours of each day. */
  person: Schemas['PlanPerson'] | null
}

const lanesOf = (blocks: Block[]) => Math.max(1, ...blocks.map((b) => b.lane + 1))

/** The rows of the board under one view. */
export function boardRows(plan: Schemas['PlanResponse'], view: BoardView): BoardRow[] {
  if (view === 'mechanic')
    return plan.people.map((person) => {
      const blocks = blocksOf(plan, (p) => p.personId === person.id || p.mateId === person.id, person.id)
      const used = load(plan, person)
      const skills = person.skills.map((s) => (machineNames[s as Schemas['MachineKind']] ?? s).toLowerCase())
      return {
        key: person.id,
        name: person.name,
        below: [skills.join(', ') || 'any machine', `${hours(used.used)} of ${hours(used.all)} h`],
        blocks,
        lanes: lanesOf(blocks),
        person,
      }
    })
  const of = (job: Schemas['JobResponse']) => (view === 'machine' ? job.machine : job.site)
  const planned = new Set(plan.placements.map((p) => p.jobId))
  const jobs = plan.jobs.filter((j) => planned.has(j.id))
  const rows = [...new Set(jobs.map(of))].sort().map((name) => {
    const own = new Set(jobs.filter((j) => of(j) === name).map((j) => j.id))
    const blocks = blocksOf(plan, (p) => own.has(p.jobId))
    const site = jobs.find((j) => of(j) === name)!.site
    return {
      key: name,
      name,
      below: [view === 'machine' ? site : `${own.size} ${own.size === 1 ? 'job' : 'jobs'}`],
      blocks,
      lanes: lanesOf(blocks),
      person: null,
    }
  })
  return rows.filter((r) => r.blocks.length)
}
