import { Refusal } from '../api/client'
import { fold } from '../core/fold'
import type { Entry } from './entries'
import { takeAlong } from './exchange'
import { tell } from './news'
import { unsentOf, written } from './outbox'
import { toRefusal } from '../api/refusal'
import { store, type HeldContext } from './store'

type Opening = Extract<Entry, { kind: 'opened' }>

/**
 * Makes a visit ready to be opened: its context on this device, from the server or as it was taken along, and its opening judged by it.
 *
 * @param openAtServer - The visit that the server had open when it was asked last. It may have been signed since: it stands in no opening's way,
 * but whatever else speaks against this one, that is said first.
 * @returns The context the opening names.
 * @throws Refusal - what the core says against it, or that the engine was not taken along.
 */
export async function prepareVisit(
  visitId: string,
  opening: Opening,
  by: string,
  openAtServer?: string | null,
): Promise<string> {
  const { contextId, context } = await contextFor(opening.engineId)
  const other = await openHere(opening.engineId)
  if (other) throw engineOpen(other)
  const line = written({ ...opening, contextId }, by)
  const { visit, outcomes } = await fold({ visitId, contextId, context, entries: [], unsent: [line] })
  if (!visit)
    throw openAtServer
      ? engineOpen(openAtServer)
      : toRefusal((outcomes[0]?.problem ?? {}) as unknown as Record<string, unknown>)
  // Together: nothing tidies the one away before the other is there.
  const tx = (await store()).transaction(['visits', 'contexts'], 'readwrite')
  void tx.objectStore('contexts').put({ contextId, context })
  void tx.objectStore('visits').put({ visitId, engineId: opening.engineId, contextId, entries: [], refused: [] })
  await tx.done
  tell({ visitId })
  return contextId
}

const engineOpen = (visitId: string) =>
  toRefusal({ code: 'engineOpen', visitId, detail: 'This engine is open already. Go on with that visit.' })

/** The newest there is: the server's, else the one taken along. */
export async function contextFor(engineId: string): Promise<HeldContext> {
  const db = await store()
  try {
    return await takeAlong(engineId)
  } catch (caught) {
    const taken = await db.get('taken', engineId)
    const held = taken && (await db.get('contexts', taken.contextId))
    if (held) return held
    if (caught instanceof Refusal) throw caught
    throw new Refusal(
      'This engine was not downloaded to this tablet, and the server cannot be reached: its book is there.',
      503,
      {},
      { code: 'notTaken' },
    )
  }
}

/** An open visit of the engine that this device knows of. */
async function openHere(engineId: string): Promise<string | undefined> {
  const visits = await (await store()).getAllFromIndex('visits', 'engine', engineId)
  const closes = (e: { kind: string }) => e.kind === 'signed' || e.kind === 'abandoned'
  return visits.find((v) => {
    const said = [...v.entries, ...unsentOf(v.visitId)]
    return !v.joined && said.length > 0 && !said.some(closes)
  })?.visitId
}
