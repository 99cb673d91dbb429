import type { Query } from '@tanstack/vue-query'
import { Refusal } from '../api/client'
import { store } from './store'

/** Answers worth keeping: what the yard, an engine, the book and the bench show. A visit is kept by its entries. */
const kinds = new Set([
  'fleet',
  'yard',
  'engine',
  'types',
  'people',
  'instruments',
  'visits',
  'sites',
  'machines',
  'plan',
  'jobs',
  'drift',
])
const patience = 4_000

const isKept = (query: Pick<Query, 'queryKey'>) => kinds.has(String(query.queryKey[0]))

/**
 * What the server answered last is kept on this device and shown, with its age, when the server cannot be asked.
 *
 *     const yard = await keptAnswer(fetchYard(), query)
 */
export async function keptAnswer<T>(asking: Promise<T>, query: Query): Promise<T> {
  if (!isKept(query)) return asking
  const asked = asking.then((data) => {
    void keep(query.queryHash, data).catch(() => undefined)
    return data
  })
  if (query.state.data !== undefined) return asked
  const old = async (): Promise<T | undefined> => {
    const kept = await (await store()).get('answers', query.queryHash)
    if (!kept) return undefined
    // Its age is that of the answer, not of the asking.
    setTimeout(() => query.setState({ ...query.state, dataUpdatedAt: kept.at }))
    return kept.data as T
  }
  try {
    // A network that swallows everything is no network; an answer that comes late all the same takes the place of the old one.
    const first = await Promise.race([asked.then((data) => ({ data })), later().then(() => null)])
    if (first) return first.data
    const kept = await old()
    if (kept === undefined) return await asked
    void asked
      .then((data) => query.setState({ ...query.state, data, dataUpdatedAt: Date.now() }))
      .catch(() => undefined)
    return kept
  } catch (caught) {
    if (caught instanceof Refusal) throw caught
    const kept = await old().catch(() => undefined)
    if (kept === undefined) throw caught
    return kept
  }
}

const later = () => new Promise((resolve) => setTimeout(resolve, patience))

async function keep(key: string, data: unknown): Promise<void> {
  await (await store()).put('answers', { key, at: Date.now(), data })
}
