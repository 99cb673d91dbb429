import { entriesAfter, wholeVisit } from './exchange'
import { tell } from './news'
import { store, type HeldVisit, type ServerEntry } from './store'

/** What this device has of a visit. */
export async function heldVisit(visitId: string): Promise<HeldVisit | undefined> {
  return (await store()).get('visits', visitId)
}

export const headOf = (visit?: HeldVisit): number => visit?.entries.at(-1)?.sequence ?? 0

/** Adds what the server gave, by sequence, each once; what does not join up yet is left for the next question. */
export function withEntries(known: ServerEntry[], given: ServerEntry[]): ServerEntry[] {
  const entries = [...known]
  for (const entry of [...given].sort((a, b) => a.sequence - b.sequence))
    if (entry.sequence === (entries.at(-1)?.sequence ?? 0) + 1) entries.push(entry)
  return entries
}

/** Brings a visit with its context onto this device. Throws where there is no such visit, or nobody answers. */
export async function bringVisit(visitId: string): Promise<HeldVisit> {
  const view = await wholeVisit(visitId)
  const before = await heldVisit(visitId)
  const entries = withEntries(before?.entries ?? [], await entriesAfter(visitId, headOf(before)))
  const visit: HeldVisit = {
    ...before,
    visitId,
    engineId: view.engineId,
    contextId: view.contextId!,
    entries,
    refused: view.refused,
  }
  const tx = (await store()).transaction(['visits', 'contexts'], 'readwrite')
  void tx.objectStore('contexts').put({ contextId: view.contextId!, context: view.context! })
  void tx.objectStore('visits').put(visit)
  await tx.done
  tell({ visitId })
  return visit
}

/** Asks what others have added since; whether there was anything. */
export async function pull(visitId: string): Promise<boolean> {
  const given = await entriesAfter(visitId, headOf(await heldVisit(visitId)))
  if (given.length === 0) return false
  await addEntries(visitId, given)
  tell({ visitId })
  return true
}

async function addEntries(visitId: string, given: ServerEntry[]): Promise<void> {
  const tx = (await store()).transaction('visits', 'readwrite')
  const visit = await tx.store.get(visitId)
  if (visit) await tx.store.put({ ...visit, entries: withEntries(visit.entries, given) })
  await tx.done
}
