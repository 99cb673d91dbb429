import { computed, shallowRef } from 'vue'
import { newId } from '../api/newId'
import { deviceName } from './device'
import type { Entry, WrittenEntry } from './entries'
import { hear, tell } from './news'
import { store, type OutboxRow } from './store'

/** Everything written down on this device that the server has not answered for, whichever tab wrote it; oldest first. */
export const outbox = shallowRef<OutboxRow[]>([])

/** What this device could not write down, its storage being full or broken: it is held by this page alone, and tried again. */
export const unwritten = shallowRef<{ visitId: string; entry: WrittenEntry }[]>([])

export const waiting = computed(() => outbox.value.filter((row) => !row.refused))
export const refused = computed(() => outbox.value.filter((row) => row.refused))

/** The visits that were opened here and have not reached the server. */
export const openedHere = computed(() =>
  waiting.value.flatMap(({ visitId, entry }) => (entry.kind === 'opened' ? [{ visitId, entry }] : [])),
)

/** An entry with all that goes with it. */
export const written = (entry: Entry, by: string): WrittenEntry =>
  ({ at: new Date().toISOString(), ...entry, id: newId(), by, device: deviceName() }) as WrittenEntry

/** Writes entries down on this device before anything else happens, all or none, in their order. What the device cannot keep is kept by the page. */
export async function writeDown(visitId: string, entries: Entry[], by: string): Promise<WrittenEntry[]> {
  const lines = entries.map((entry) => written(entry, by))
  await keep(lines.map((entry) => ({ visitId, entry })))
  return lines
}

async function keep(lines: { visitId: string; entry: WrittenEntry }[]): Promise<void> {
  try {
    // Strict: it is on the disk before the next tap, also where the battery ends here.
    const tx = (await store()).transaction('outbox', 'readwrite', { durability: 'strict' })
    for (const line of lines) void tx.store.add(line as OutboxRow)
    await tx.done
    await look()
    for (const visitId of new Set(lines.map((l) => l.visitId))) tell({ visitId })
  } catch {
    unwritten.value = [...unwritten.value, ...lines]
    for (const visitId of new Set(lines.map((l) => l.visitId))) tell({ visitId })
  }
}

/** Tries again to write down what could not be. */
export async function writeAgain(): Promise<void> {
  const lines = unwritten.value
  if (lines.length === 0) return
  unwritten.value = []
  await keep(lines)
}

/** What waits of one visit, in the order it was made. */
export const unsentOf = (visitId: string): WrittenEntry[] => [
  ...waiting.value.filter((row) => row.visitId === visitId).map((row) => row.entry),
  ...unwritten.value.filter((line) => line.visitId === visitId).map((line) => line.entry),
]

/** The refusals of a visit were seen; the server keeps them with its record. */
export async function putAway(visitId: string): Promise<void> {
  const seen = refused.value.filter((row) => row.visitId === visitId)
  if (seen.length === 0) return
  const tx = (await store()).transaction('outbox', 'readwrite')
  for (const row of seen) void tx.store.delete(row.n)
  await tx.done
  await look()
  tell({ visitId })
}

/** Reads again what is written down: another tab may have added to it or sent it. */
export async function look(): Promise<void> {
  outbox.value = await (await store()).getAll('outbox')
}

/** Follows what other tabs and the service worker write down and send. */
export function followOutbox(): () => void {
  void look().catch(() => undefined)
  return hear(() => void look().catch(() => undefined))
}
