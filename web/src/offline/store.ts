import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Schemas } from '../api/client'
import type { WrittenEntry } from './entries'

export type Problem = Record<string, unknown>

/** An entry that was written down here: it waits to be sent, or a rule refused it. */
export interface OutboxRow {
  /** In the order they were written, over all tabs. */
  n: number
  visitId: string
  entry: WrittenEntry
  /** What a rule said against it; it waits no more, and stays until somebody has seen it. */
  refused?: Problem
}

/** An entry as the server gave it. */
export type ServerEntry = { id: string; sequence: number; kind: string } & Record<string, unknown>

/** What this device has of a visit. */
export interface HeldVisit {
  visitId: string
  engineId: string
  contextId: string
  /** The server's, by sequence without a gap. */
  entries: ServerEntry[]
  /** Refused at the server, from whatever device. */
  refused: Schemas['RefusedRecord'][]
  /** Why nothing of it can be sent as it is; what waits is kept. */
  held?: Problem
  /** What was measured here went into this visit instead. */
  joined?: string
}

export interface HeldContext {
  contextId: string
  context: Schemas['ContextRecord']
}

/** An engine that was taken along. */
export interface Taken {
  engineId: string
  contextId: string
  name: string
  machine: string
  site: string
  /** When its context came from the server, milliseconds. */
  at: number
  bytes: number
}

/** What the server answered last, for when it cannot be asked. */
export interface KeptAnswer {
  key: string
  at: number
  data: unknown
}

/** A picture taken here, by the hash of its bytes; it goes to the server once, and stays until it is there. */
export interface KeptPhoto {
  hash: string
  photo: Blob
}

interface Tablet extends DBSchema {
  photos: { key: string; value: KeptPhoto }
  outbox: { key: number; value: OutboxRow; indexes: { visit: string } }
  visits: { key: string; value: HeldVisit; indexes: { engine: string } }
  contexts: { key: string; value: HeldContext }
  taken: { key: string; value: Taken }
  answers: { key: string; value: KeptAnswer }
  leases: { key: string; value: { name: string; holder: string; until: number } }
}

export type Store = IDBPDatabase<Tablet>

export const storeName = 'zero-drift'
let opened: Promise<Store> | null = null

/**
 * All that this device keeps: one store for every tab and for the service worker. A newer version adds to it and reads what an older one wrote.
 */
export function store(): Promise<Store> {
  return (opened ??= openDB<Tablet>(storeName, 2, {
    upgrade(db, before) {
      if (before < 2) db.createObjectStore('photos', { keyPath: 'hash' })
      if (before >= 1) return
      db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('visit', 'visitId')
      db.createObjectStore('visits', { keyPath: 'visitId' }).createIndex('engine', 'engineId')
      db.createObjectStore('contexts', { keyPath: 'contextId' })
      db.createObjectStore('taken', { keyPath: 'engineId' })
      db.createObjectStore('answers', { keyPath: 'key' })
      db.createObjectStore('leases', { keyPath: 'name' })
    },
    // Another tab has a newer version: let it have the store; the next call opens it again.
    blocking: () => void closeStore(),
    terminated: () => void (opened = null),
  }).catch((caught: unknown) => {
    opened = null
    throw caught
  }))
}

export async function closeStore(): Promise<void> {
  const open = opened
  opened = null
  ;(await open)?.close()
}
