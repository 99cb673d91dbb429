import { Refusal } from '../api/refusal'
import type { WrittenEntry } from './entries'
import { exchange } from './exchange'
import { headOf, heldVisit, pull, withEntries } from './held'
import { tell } from './news'
import { store, type HeldVisit, type OutboxRow, type Problem, type ServerEntry } from './store'

const batchSize = 400

/** What came of sending a visit: all gone, nobody answered, the server cannot just now, or it will not have it as it is. */
export type Sent = 'sent' | 'gone' | 'later' | 'held'

/** The visits of which something waits, the oldest first; without those that somebody must decide about. */
export async function visitsToSend(): Promise<string[]> {
  const db = await store()
  const ids = new Set((await db.getAll('outbox')).filter((row) => !row.refused).map((row) => row.visitId))
  const held = await Promise.all([...ids].map((id) => db.get('visits', id)))
  return [...ids].filter((_, i) => !held[i]?.held)
}

/** Sends all that waits of a visit, in its order. What cannot go stays written down; the same entry sent twice does no harm. */
export async function sendVisit(visitId: string): Promise<Sent> {
  for (;;) {
    const rows = (await (await store()).getAllFromIndex('outbox', 'visit', visitId)).filter((row) => !row.refused)
    const batch = rows.slice(0, batchSize)
    if (batch.length === 0) return 'sent'
    try {
      const { head, outcomes, entries } = await exchange(
        visitId,
        headOf(await heldVisit(visitId)),
        batch.map((row) => row.entry),
      )
      const opening = batch.find((row) => row.entry.kind === 'opened')
      const refusal = outcomes.find((o) => o.id === opening?.entry.id && o.outcome === 'refused')
      // Without its opening nothing of the visit can be taken: somebody decides, and until then all of it stays as it is.
      if (refusal) return await hold(visitId, refusal.problem as unknown as Problem)
      if (outcomes.length === 0) return 'later'
      await settle(visitId, batch, outcomes, entries)
      if (headOf(await heldVisit(visitId)) < head) await pull(visitId).catch(() => false)
      tell({ visitId, sent: true })
    } catch (caught) {
      if (!(caught instanceof Refusal)) return 'gone'
      if (caught.status >= 500 || caught.status === 408 || caught.status === 429) return 'later'
      return await hold(visitId, { ...caught.body, detail: caught.message })
    }
  }
}

type Outcome = { id: string; outcome: string; sequence?: number | null; problem?: unknown }

/** What was taken goes from the outbox to the server's entries, what was refused stays in sight, in one transaction. */
async function settle(visitId: string, batch: OutboxRow[], outcomes: Outcome[], others: ServerEntry[]): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'visits'], 'readwrite', { durability: 'strict' })
  const taken: ServerEntry[] = []
  for (const row of batch) {
    const outcome = outcomes.find((o) => o.id === row.entry.id)
    if (!outcome) continue
    if (outcome.outcome === 'refused') {
      void tx.objectStore('outbox').put({ ...row, refused: (outcome.problem ?? {}) as Problem })
      continue
    }
    void tx.objectStore('outbox').delete(row.n)
    if (outcome.sequence != null)
      taken.push({ ...(row.entry as WrittenEntry & Record<string, unknown>), sequence: outcome.sequence })
  }
  const visit = await tx.objectStore('visits').get(visitId)
  if (visit)
    void tx
      .objectStore('visits')
      .put({ ...visit, held: undefined, entries: withEntries(visit.entries, [...others, ...taken]) })
  await tx.done
}

async function hold(visitId: string, problem: Problem): Promise<Sent> {
  const db = await store()
  const blank: HeldVisit = { visitId, engineId: '', contextId: '', entries: [], refused: [] }
  await db.put('visits', { ...((await db.get('visits', visitId)) ?? blank), held: problem })
  tell({ visitId })
  return 'held'
}
