import { shallowRef } from 'vue'
import { openVisitsOf, takeAlong } from './exchange'
import { bringVisit } from './held'
import { hear, tell } from './news'
import { store, type Taken } from './store'

/** The engines that were taken along, by name. */
export const taken = shallowRef<Taken[]>([])

/** What is needed of an engine to name it. */
export type ToTake = Pick<Taken, 'engineId' | 'name' | 'machine' | 'site'>

/** Takes an engine along, or brings it up to date: all that a visit of it will rest on, and the visits that are open on it. */
export async function takeEngine(engine: ToTake): Promise<void> {
  const { contextId, context } = await takeAlong(engine.engineId)
  for (const visit of await openVisitsOf(engine.engineId)) await bringVisit(visit.visitId)
  const bytes = new Blob([JSON.stringify(context)]).size
  const { engineId, name, machine, site } = engine
  const tx = (await store()).transaction(['taken', 'contexts'], 'readwrite')
  void tx.objectStore('contexts').put({ contextId, context })
  void tx.objectStore('taken').put({ engineId, name, machine, site, contextId, bytes, at: Date.now() })
  await tx.done
  await dropContexts()
  tell()
}

/** Leaves an engine behind; what a visit on this device rests on stays. */
export async function leaveBehind(engineId: string): Promise<void> {
  await (await store()).delete('taken', engineId)
  await dropContexts()
  tell()
}

const keptFor = 14 * 24 * 3_600_000

/** Visits closed a fortnight ago, of which nothing waits here: the server has them. */
export async function dropClosed(now = Date.now()): Promise<void> {
  const db = await store()
  const waits = new Set((await db.getAll('outbox')).map((row) => row.visitId))
  for (const visit of await db.getAll('visits')) {
    const closing = visit.entries.find((entry) => entry.kind === 'signed' || entry.kind === 'abandoned')
    const isOld = closing !== undefined && now - Date.parse(String(closing.at)) > keptFor
    if (isOld && !visit.held && !waits.has(visit.visitId)) await db.delete('visits', visit.visitId)
  }
  await dropContexts()
}

/** Contexts that nothing on this device rests on any more. */
async function dropContexts(): Promise<void> {
  const tx = (await store()).transaction(['taken', 'visits', 'contexts'], 'readwrite')
  const kept = [...(await tx.objectStore('taken').getAll()), ...(await tx.objectStore('visits').getAll())]
  const needed = new Set(kept.map((k) => k.contextId))
  for (const id of await tx.objectStore('contexts').getAllKeys())
    if (!needed.has(id)) void tx.objectStore('contexts').delete(id)
  await tx.done
}

async function look(): Promise<void> {
  taken.value = (await (await store()).getAll('taken')).sort((a, b) => a.name.localeCompare(b.name))
}

/** Follows what is taken along and left behind, in whichever tab. */
export function followTaken(): () => void {
  void look().catch(() => undefined)
  return hear(() => void look().catch(() => undefined))
}
