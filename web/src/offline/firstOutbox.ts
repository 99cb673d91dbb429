import type { WrittenEntry } from './entries'
import { store, type OutboxRow, type Problem } from './store'

const entryPrefix = 'zd-entry:'
const refusedPrefix = 'zd-refused:'

/** Before there was a store, what waited lay in the browser's local storage: it moves over, once, in its order. */
export async function moveFirstOutbox(): Promise<void> {
  const names = Object.keys(localStorage).filter((n) => n.startsWith(entryPrefix) || n.startsWith(refusedPrefix))
  if (names.length === 0) return
  const rows = names.flatMap((name) => {
    const isRefused = name.startsWith(refusedPrefix)
    const visitId = name.slice((isRefused ? refusedPrefix : entryPrefix).length).split(':')[0]!
    const line = read(name)
    if (isRefused) {
      const { entry, problem } = (line ?? {}) as { entry?: WrittenEntry; problem?: Problem }
      return entry?.id ? [{ visitId, entry, refused: problem ?? {} }] : []
    }
    const entry = line as WrittenEntry | null
    return entry?.id ? [{ visitId, entry }] : []
  })
  rows.sort((a, b) => (a.entry.id < b.entry.id ? -1 : 1))
  const tx = (await store()).transaction('outbox', 'readwrite', { durability: 'strict' })
  for (const row of rows) void tx.store.add(row as OutboxRow)
  await tx.done
  for (const name of names) localStorage.removeItem(name)
}

function read(name: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null')
  } catch {
    return null
  }
}
