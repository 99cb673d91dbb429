import { Refusal } from '../api/client'
import type { Problem } from './store'

/** A problem document as an error whose sentence and fields a form can show. */
export function refusalOf(problem: Problem): Refusal {
  const errors = (problem.errors as Record<string, string[]>) ?? {}
  return new Refusal(String(problem.detail ?? ''), Number(problem.status ?? 422), errors, problem)
}
