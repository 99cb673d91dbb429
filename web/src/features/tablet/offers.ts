import { group } from 'd3-array'
import type { Schemas } from '../../api/client'
import type { ToTake } from '../../offline/taken'

type Row = Schemas['DueRow']
type Plan = Pick<Schemas['PlanResponse'], 'jobs' | 'placements'>

/** What is needed of a row of the yard to take its engine along. */
export const toTake = (row: Row): ToTake => ({
  engineId: row.engineId,
  name: row.name,
  machine: row.machineName,
  site: row.site,
})

const mostDue = 5

/** The engines somebody will want: those of today's plan, then the next that are due; without those taken along already. */
export function offers(
  rows: Row[],
  plan: Plan | null,
  have: Set<string>,
  today: string,
): { why: string; engines: Row[] }[] {
  const jobs = new Set(plan?.placements.filter((p) => p.date === today).map((p) => p.jobId))
  const planned = new Set(plan?.jobs.filter((j) => jobs.has(j.id)).map((j) => j.engineId))
  const missing = rows.filter((row) => !have.has(row.engineId))
  return [
    { why: 'In today’s plan', engines: missing.filter((row) => planned.has(row.engineId)) },
    { why: 'Due next', engines: missing.filter((row) => !planned.has(row.engineId)).slice(0, mostDue) },
  ].filter((offer) => offer.engines.length > 0)
}

/** The sites, and the machines that have more than one engine. */
export function choices(rows: Row[]): { key: string; group: 'Sites' | 'Machines'; name: string; engines: Row[] }[] {
  const by = (kind: 'Sites' | 'Machines', of: (row: Row) => string) =>
    [...group(rows, of)].map(([name, engines]) => ({ key: `${kind}:${name}`, group: kind, name, engines }))
  return [
    ...by('Sites', (row) => row.site),
    ...by('Machines', (row) => row.machineName).filter((c) => c.engines.length > 1),
  ].sort((a, b) => a.name.localeCompare(b.name))
}
