import { shallowRef } from 'vue'
import { newId } from '../api/newId'
import type { Entry, WrittenEntry } from './entries'

/** An entry that waits to be sent, with the visit it belongs to. */
export interface Waiting {
  visitId: string
  entry: WrittenEntry
}

/** What a rule refused: the entry, and the server's problem. Kept until somebody has seen it. */
export interface Refused extends Waiting {
  problem: Record<string, unknown>
}

const entryPrefix = 'zd-entry:'
const refusedPrefix = 'zd-refused:'

/** All that waits on this machine, whichever tab or screen wrote it down; oldest first. */
export const waiting = shallowRef<Waiting[]>([])

/** All that was refused and not yet put away. */
export const refused = shallowRef<Refused[]>([])

/** A short name of this device, the same for as long as it keeps its storage. */
export function deviceName(): string {
  const known = localStorage.getItem('zd-device')
  if (known) return known
  const made = `web ${newId().slice(-4)}`
  localStorage.setItem('zd-device', made)
  return made
}

/** An entry with all that goes with it. */
export function written(entry: Entry, by: string): WrittenEntry {
  return { ...entry, id: newId(), at: new Date().toISOString(), by, device: deviceName() } as WrittenEntry
}

/** Writes an entry down on this machine before anything else happens. Each has its own place, so that two tabs never write over each other. */
export function writeDown(visitId: string, entry: Entry, by: string): WrittenEntry {
  const line = written(entry, by)
  localStorage.setItem(`${entryPrefix}${visitId}:${line.id}`, JSON.stringify(line))
  look()
  return line
}

/** It arrived: it waits no more. */
export function arrived(visitId: string, ids: string[]): void {
  for (const id of ids) localStorage.removeItem(`${entryPrefix}${visitId}:${id}`)
  look()
}

/** A rule refused it: it waits no more, and what was said stays in sight. */
export function refuse(visitId: string, entry: WrittenEntry, problem: Record<string, unknown>): void {
  localStorage.setItem(`${refusedPrefix}${visitId}:${entry.id}`, JSON.stringify({ entry, problem }))
  look()
}

/** The refusals of a visit were seen. */
export function putAway(visitId: string): void {
  for (const r of refused.value)
    if (r.visitId === visitId) localStorage.removeItem(`${refusedPrefix}${visitId}:${r.entry.id}`)
  look()
}

/** Reads again what is written down: another tab may have added to it or sent it. */
export function look(): void {
  const lines: Waiting[] = []
  const no: Refused[] = []
  for (let i = 0; i < localStorage.length; i++) {
    const name = localStorage.key(i) ?? ''
    if (name.startsWith(entryPrefix)) {
      const entry = read<WrittenEntry>(name)
      if (entry?.id) lines.push({ visitId: name.slice(entryPrefix.length).split(':')[0]!, entry })
    } else if (name.startsWith(refusedPrefix)) {
      const known = read<{ entry: WrittenEntry; problem: Record<string, unknown> }>(name)
      if (known?.entry) no.push({ visitId: name.slice(refusedPrefix.length).split(':')[0]!, ...known })
    }
  }
  // Identifiers are ordered by time; those of one millisecond keep their order by the clock that made them.
  const byId = (a: Waiting, b: Waiting) => (a.entry.id < b.entry.id ? -1 : 1)
  waiting.value = lines.sort(byId)
  refused.value = no.sort(byId)
}

/** Follows what other tabs write down and send. */
export function followTabs(): () => void {
  const heard = (event: StorageEvent) => {
    if (!event.key || event.key.startsWith(entryPrefix) || event.key.startsWith(refusedPrefix)) look()
  }
  window.addEventListener('storage', heard)
  look()
  return () => window.removeEventListener('storage', heard)
}

function read<T>(name: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null') as T | null
  } catch {
    return null
  }
}
