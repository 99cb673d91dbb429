import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { closeStore } from './store'
import { look, unwritten } from './outbox'

/** A device with nothing on it, for a test. */
export async function emptyDevice(): Promise<void> {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  localStorage.clear()
  unwritten.value = []
  await look()
}

/** What a server answers to an exchange that takes everything, numbering on from a head. */
export const takesAll = (entries: { id: string }[], head = 0) => ({
  head: head + entries.length,
  outcomes: entries.map((e, i) => ({ id: e.id, outcome: 'taken', sequence: head + i + 1, problem: null })),
  entries: [],
})

/** An answer as it comes over the wire. */
export const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })
