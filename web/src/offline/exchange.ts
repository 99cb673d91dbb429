import { answer, api, Refusal, type Schemas } from '../api/client'
import { newId } from '../api/newId'
import type { Entry, WrittenEntry } from './entries'
import { deviceName } from './outbox'

/**
 * Sends entries to a visit.
 *
 *     const { outcomes } = await exchange(visitId, waiting(visitId))
 */
export function exchange(visitId: string, entries: WrittenEntry[]): Promise<Schemas['ExchangeResponse']> {
  return answer(
    api.POST('/api/visits/{visitId}/entries', {
      params: { path: { visitId } },
      body: { after: 0, entries: entries as unknown as Schemas['JsonObject'][] },
    }),
  )
}

/** The refusal of an outcome, as an error whose sentence and fields a form can show; null where it was taken. */
export function refusalOf(outcome: Schemas['EntryOutcomeResponse']): Refusal | null {
  if (outcome.outcome !== 'refused' || !outcome.problem) return null
  const problem = outcome.problem as unknown as Record<string, unknown>
  return new Refusal(
    String(problem.detail ?? ''),
    Number(problem.status ?? 422),
    (problem.errors as Record<string, string[]>) ?? {},
    problem,
  )
}

/** Sends entries at once, outside a bench's outbox: from the record, or to open a visit. Throws the first refusal. */
export async function sendNow(visitId: string, entries: Entry[], by: string): Promise<void> {
  const written = entries.map(
    (e) => ({ ...e, id: newId(), at: new Date().toISOString(), by, device: deviceName() }) as WrittenEntry,
  )
  const { outcomes } = await exchange(visitId, written)
  for (const outcome of outcomes) {
    const refusal = refusalOf(outcome)
    if (refusal) throw refusal
  }
}
