import type { Schemas } from '../../api/client'

/** One job of the plan with who does it. */
export interface PlanLine {
  job: Schemas['JobResponse']
  at: Schemas['PlacementResponse']
  who: string
}

/** The plan's jobs within its days, by day and person. */
export function planLines(plan: Schemas['PlanResponse']): PlanLine[] {
  const jobs = new Map(plan.jobs.map((j) => [j.id, j]))
  const name = (id: string) => plan.people.find((p) => p.id === id)?.name ?? ''
  return plan.placements
    .filter((at) => jobs.has(at.jobId) && at.lastDate >= plan.from)
    .map((at) => ({
      job: jobs.get(at.jobId)!,
      at,
      who: at.mateId ? `${name(at.personId)} with ${name(at.mateId)}` : name(at.personId),
    }))
    .sort((a, b) => a.at.date.localeCompare(b.at.date) || a.who.localeCompare(b.who))
}

/** The same as rows of a file. */
export const planRows = (plan: Schemas['PlanResponse']) => [
  ['first day', 'last day', 'who', 'engine', 'machine', 'site', 'what', 'hours', 'due', 'pinned', 'why here', 'waits'],
  ...planLines(plan).map(({ job, at, who }) => [
    at.date,
    at.lastDate,
    who,
    job.engine,
    job.machine,
    job.site,
    job.title,
    Math.round(job.time.middle * 10) / 10,
    job.dueDate,
    at.pinned ? 'yes' : 'no',
    at.because,
    job.waiting.flatMap((w) => w.points).join(', '),
  ]),
]
