import type { Schemas } from '../../api/client'
import { addDays, daysBetween, weekday } from '../../shared/figures/dayMath'

/** A job where it stands on the board: its row, its days counted from the first, and the line of the row it is drawn on. */
export interface Block {
  job: Schemas['JobResponse']
  placement: Schemas['PlacementResponse']
  personId: string
  asMate: boolean
  start: number
  length: number
  lane: number
  /** The day it is due, counted the same; it may lie before or after the board. */
  due: number | null
}

/** Share of the board that the name behind a block takes up: over eight weeks or a quarter a job has a line of its own, and no name runs into another. */
const nameShare = 1 / 6

/** The blocks of one row, each on the first line with room for it and its name; a second's stands in their own row too. */
export function blocksOf(
  plan: Schemas['PlanResponse'],
  belongs: (placement: Schemas['PlacementResponse']) => boolean,
  personId?: string,
): Block[] {
  const jobs = new Map(plan.jobs.map((j) => [j.id, j]))
  const free: number[] = []
  const nameDays = Math.max(5, Math.ceil(plan.days * nameShare))
  return plan.placements
    .filter((p) => jobs.has(p.jobId) && belongs(p))
    .map((placement) => ({ placement, job: jobs.get(placement.jobId)!, start: daysBetween(plan.from, placement.date) }))
    .filter((b) => b.start >= 0 && b.start < plan.days)
    .sort((a, b) => a.start - b.start || a.job.engine.localeCompare(b.job.engine))
    .map(({ placement, job, start }) => {
      const length = daysBetween(placement.date, placement.lastDate) + 1
      let lane = free.findIndex((until) => until <= start)
      if (lane < 0) lane = free.length
      free[lane] = start + Math.max(length, 1) + nameDays
      return {
        job,
        placement,
        personId: personId ?? placement.personId,
        asMate: personId !== undefined && placement.personId !== personId,
        start,
        length,
        lane,
        due: job.dueDate ? daysBetween(plan.from, job.dueDate) : null,
      }
    })
}

/** The days of the board, with their names. */
export const boardDays = (from: string, count: number) =>
  Array.from({ length: count }, (_, i) => {
    const iso = addDays(from, i)
    return { iso, letter: 'MTWTFSS'[weekday(iso)]!, isMonday: weekday(iso) === 0, isWeekend: weekday(iso) > 4 }
  })

/** Hours planned of a person's, within the board. */
export function load(plan: Schemas['PlanResponse'], person: Schemas['PlanPerson']) {
  const jobs = new Map(plan.jobs.map((j) => [j.id, j]))
  const used = plan.placements
    .filter((p) => p.personId === person.id || p.mateId === person.id)
    .reduce((sum, p) => sum + (jobs.get(p.jobId)?.time.middle ?? 0), 0)
  return { used, all: person.hours.reduce((sum, h) => sum + h, 0) }
}
