import { newId } from '../api/newId'
import type { Entry, WrittenEntry } from './entries'

const prefix = 'zd-entry:'

/** A short name of this device, the same for as long as it keeps its storage. */
export function deviceName(): string {
  const known = localStorage.getItem('zd-device')
  if (known) return known
  const made = `web ${newId().slice(-4)}`
  localStorage.setItem('zd-device', made)
  return made
}

/** Writes an entry down on this machine before anything else happens. Each has its own place, so that two tabs never write over each other. */
export function writeDown(visitId: string, entry: Entry, by: string): WrittenEntry {
  const written = { ...entry, id: newId(), at: new Date().toISOString(), by, device: deviceName() } as WrittenEntry
  localStorage.setItem(key(visitId, written.id), JSON.stringify(written))
  return written
}

/** What waits to be sent for a visit, in the order it was written down. */
export function waiting(visitId: string): WrittenEntry[] {
  const found: WrittenEntry[] = []
  for (let i = 0; i < localStorage.length; i++) {
    const name = localStorage.key(i)
    if (!name?.startsWith(`${prefix}${visitId}:`)) continue
    const entry = read(name)
    if (entry) found.push(entry)
  }
  // Identifiers are ordered by time; those of one millisecond keep their order by the clock that made them.
  return found.sort((a, b) => (a.id < b.id ? -1 : 1))
}

/** It arrived, or was refused and shown: it waits no more. */
export function done(visitId: string, id: string): void {
  localStorage.removeItem(key(visitId, id))
}

function key(visitId: string, id: string): string {
  return `${prefix}${visitId}:${id}`
}

function read(name: string): WrittenEntry | null {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null') as WrittenEntry | null
  } catch {
    return null
  }
}
