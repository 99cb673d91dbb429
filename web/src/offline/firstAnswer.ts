import type { QueryClient } from '@tanstack/vue-query'
import { queries } from '../api/queries'
import { foldedKey, type FoldedVisit } from './foldedVisit'
import { heldVisit } from './held'
import { store } from './store'

/**
 * What the server has folded of a visit, shown at once: the core of this device takes over when it is there. Only where nothing of the visit waits
 * here to be sent, for then the server does not know the last of it.
 */
export async function firstAnswer(client: QueryClient, visitId: string): Promise<void> {
  const key = foldedKey(visitId)
  if (client.getQueryData(key) !== undefined) return
  try {
    const held = await heldVisit(visitId)
    if (held?.joined || held?.held || (await waitsHere(visitId))) return
    const view = await client.fetchQuery(queries.visit(visitId))
    if (view.sheet && !(await waitsHere(visitId)) && client.getQueryData(key) === undefined)
      client.setQueryData<FoldedVisit>(key, { view, outcomes: [] })
  } catch {
    // The fold of this device says what is wrong, if anything is.
  }
}

const waitsHere = async (visitId: string) =>
  (await (await store()).getAllFromIndex('outbox', 'visit', visitId)).length > 0
