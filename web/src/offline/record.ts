import { queryOptions } from '@tanstack/vue-query'
import { answer, api, Refusal } from '../api/client'
import { queries } from '../api/queries'
import { foldVisit } from './foldedVisit'
import { heldVisit } from './held'
import { unsentOf } from './outbox'

/** What the server has, else what this device has: where nobody answers, or the visit has not reached the server yet. */
async function orHere<T>(visitId: string, ask: () => Promise<T>, here: () => Promise<T>): Promise<T> {
  try {
    return await ask()
  } catch (caught) {
    if (caught instanceof Refusal && caught.status !== 404) throw caught
    if (!(await heldVisit(visitId))?.contextId) throw caught
    return here()
  }
}

/** A visit for its record. */
export const recordOf = (visitId: string) =>
  queryOptions({
    queryKey: queries.visit(visitId).queryKey,
    queryFn: () =>
      orHere(
        visitId,
        () => answer(api.GET('/api/visits/{visitId}', { params: { path: { visitId } } })),
        async () => (await foldVisit(visitId)).view,
      ),
  })

/** Every entry of a visit, those that wait to be sent at the end. */
export const entriesOf = (visitId: string) =>
  queryOptions({
    queryKey: queries.visitEntries(visitId).queryKey,
    queryFn: () =>
      orHere(
        visitId,
        () => answer(api.GET('/api/visits/{visitId}/entries', { params: { path: { visitId } } })),
        async () => {
          const entries = (await heldVisit(visitId))!.entries
          const unsent = unsentOf(visitId).map((e, i) => ({ ...e, sequence: entries.length + i + 1 }))
          return { entries: [...entries, ...unsent] as unknown as Record<string, never>[] }
        },
      ),
  })
