import { newId } from '../api/newId'
import { tell } from './news'
import { store, type HeldVisit } from './store'

/** Sends a visit again that was held back. */
export async function sendAgain(visitId: string): Promise<void> {
  const db = await store()
  const visit = await db.get('visits', visitId)
  if (visit) await db.put('visits', withoutHeld(visit))
  tell({ visitId })
}

/** Somebody else had opened the engine: all that was written down here goes into that visit, but for the opening; the entries keep their identifiers. */
export async function joinVisit(from: string, to: string): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'visits'], 'readwrite', { durability: 'strict' })
  for (const row of await tx.objectStore('outbox').index('visit').getAll(from)) {
    if (row.entry.kind === 'opened') void tx.objectStore('outbox').delete(row.n)
    else void tx.objectStore('outbox').put({ ...row, visitId: to })
  }
  const visit = await tx.objectStore('visits').get(from)
  if (visit) void tx.objectStore('visits').put({ ...withoutHeld(visit), joined: to })
  await tx.done
  tell({ visitId: from })
  tell({ visitId: to })
}

/** The opening was refused for its meter or its day: it is said again, with what is right, in the same place of the list. */
export async function openAnew(visitId: string, right: { shownHours?: number; date?: string }): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'visits'], 'readwrite', { durability: 'strict' })
  for (const row of await tx.objectStore('outbox').index('visit').getAll(visitId))
    if (row.entry.kind === 'opened')
      void tx.objectStore('outbox').put({ ...row, entry: { ...row.entry, ...right, id: newId() } })
  const visit = await tx.objectStore('visits').get(visitId)
  if (visit) void tx.objectStore('visits').put(withoutHeld(visit))
  await tx.done
  tell({ visitId })
}

/** Takes what waits of a visit out of the outbox, for good. */
export async function throwAway(visitId: string): Promise<void> {
  const tx = (await store()).transaction(['outbox', 'visits'], 'readwrite')
  for (const row of await tx.objectStore('outbox').index('visit').getAll(visitId))
    void tx.objectStore('outbox').delete(row.n)
  const visit = await tx.objectStore('visits').get(visitId)
  if (visit?.entries.length) void tx.objectStore('visits').put(withoutHeld(visit))
  else void tx.objectStore('visits').delete(visitId)
  await tx.done
  tell({ visitId })
}

const withoutHeld = (visit: HeldVisit): HeldVisit => ({ ...visit, held: undefined })
