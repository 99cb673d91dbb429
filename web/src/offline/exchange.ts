import { answer, api, Refusal, type Schemas } from '../api/client'
import type { Entry, WrittenEntry } from './entries'
import { written } from './outbox'

/** Sends entries to a visit; the same entry sent twice does no harm. */
export function exchange(visitId: string, entries: WrittenEntry[]): Promise<Schemas['ExchangeResponse']> {
  return answer(
    api.POST('/api/visits/{visitId}/entries', {
      params: { path: { visitId } },
      body: { after: 0, entries: entries as unknown as Schemas['JsonObject'][] },
    }),
  )
}

/** A problem document as an error whose sentence and fields a form can show. */
export function refusalOf(problem: Record<string, unknown>): Refusal {
  return new Refusal(
    String(problem.detail ?? ''),
    Number(problem.status ?? 422),
    (problem.errors as Record<string, string[]>) ?? {},
    problem,
  )
}

/** Sends entries at once, outside the outbox: from a form that says what came of it. Throws the first refusal. */
export async function sendNow(visitId: string, entries: Entry[], by: string): Promise<WrittenEntry[]> {
  const lines = entries.map((e) => written(e, by))
  const { outcomes } = await exchange(visitId, lines)
  for (const outcome of outcomes)
    if (outcome.outcome === 'refused' && outcome.problem)
      throw refusalOf(outcome.problem as unknown as Record<string, unknown>)
  return lines
}
