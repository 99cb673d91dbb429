import type { Schemas } from '../../api/client'
import { hours } from '../figures/hours'
import { counted, form } from './counts'

/** The plan in a sentence: what fits, what does not. */
export function planHeadline(plan: Schemas['PlanResponse']): string {
  const placed = plan.placements.length
  const left = plan.withoutDay.filter((j) => !j.later).length
  if (plan.jobs.length === 0) return 'No job to plan yet.'
  if (placed === 0) return `${counted(plan.jobs.length)} ${form(plan.jobs.length, 'job', 'jobs')} to plan.`
  const fits = `${counted(placed)} ${form(placed, 'job has its', 'jobs have their')} day.`
  return left ? `${fits} ${counted(left)} ${form(left, 'has', 'have')} none.` : fits
}

/** Hours of work as a range: 4 to 6 h. */
export function workText(time: Schemas['JobTime']): string {
  const quarter = (h: number) => String(Math.round(h * 2) / 2)
  const range =
    quarter(time.low) === quarter(time.high)
      ? `${quarter(time.low)} h`
      : `${quarter(time.low)} to ${quarter(time.high)} h`
  return time.timed ? `${range}, from ${time.timed} timed here` : range
}

/** Where a plan stands against what its people can do: 41 of 124 h. */
export const loadText = (used: number, all: number) => `${hours(used)} of ${hours(all)} mechanic hours`
