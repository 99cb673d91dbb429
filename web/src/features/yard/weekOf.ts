import type { Schemas } from '../../api/client'
import { addDays, weekday } from '../../shared/figures/dayMath'
import { day } from '../../shared/figures/days'

const names = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

export interface PersonWeek {
  id: string
  name: string
  /** Where the work of the week is. */
  places: string[]
  /** Why the person is not there, or will not be. */
  away: string
  days: { day: string; jobs: { id: string; engine: string; with: string }[] }[]
}

/** The next seven days of the plan, person by person; a job that began before them stands at its first day within. */
export function weekOf(
  plan: Pick<Schemas['PlanResponse'], 'today' | 'people' | 'jobs' | 'placements' | 'away'>,
): PersonWeek[] {
  const last = addDays(plan.today, 6)
  const nameOf = new Map(plan.people.map((p) => [p.id, p.name]))
  const jobOf = new Map(plan.jobs.map((j) => [j.id, j]))
  const said = (date: string) => (date === plan.today ? 'Today' : names[weekday(date)]!)
  return plan.people.map((person) => {
    const own = plan.placements
      .filter((p) => p.personId === person.id || p.mateId === person.id)
      .filter((p) => p.date <= last && p.lastDate >= plan.today && jobOf.has(p.jobId))
      .map((p) => ({ ...p, date: p.date < plan.today ? plan.today : p.date, job: jobOf.get(p.jobId)! }))
      .sort((a, b) => a.date.localeCompare(b.date))
    const gone = plan.away.find((a) => a.personId === person.id && a.from <= last && a.to >= plan.today)
    return {
      id: person.id,
      name: person.name,
      places: [...new Set(own.map((p) => p.job.site))],
      away: gone
        ? `${gone.why || 'away'}, ${gone.from > plan.today ? `from ${said(gone.from)} ` : ''}until ${day(gone.to)}`
        : '',
      days: [...new Set(own.map((p) => p.date))].map((date) => ({
        day: said(date),
        jobs: own
          .filter((p) => p.date === date)
          .map((p) => ({
            id: p.jobId,
            engine: p.job.engine,
            with: nameOf.get((p.personId === person.id ? p.mateId : p.personId) ?? '') ?? '',
          })),
      })),
    }
  })
}
