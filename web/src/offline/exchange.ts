import type { Schemas } from '../api/client'
import { toRefusal } from '../api/refusal'
import type { WrittenEntry } from './entries'
import type { ServerEntry } from './store'

/** A plain request, the same from a page and from the service worker. Throws a `Refusal`, or a TypeError where nobody answers. */
async function ask<T>(path: string, body?: unknown): Promise<T> {
  const response = await fetch(path, {
    ...(body === undefined
      ? {}
      : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    signal: AbortSignal.timeout(30_000),
  })
  // Something between here and the server may answer in its place.
  const isJson = response.headers.get('content-type')?.includes('json')
  const json: unknown = isJson ? await response.json() : {}
  if (!response.ok) throw toRefusal(json, response.status)
  if (!isJson) throw new TypeError('not the server')
  return json as T
}

/** Sends entries to a visit; the same entry sent twice does no harm. */
export const exchange = (visitId: string, after: number, entries: WrittenEntry[]) =>
  ask<Omit<Schemas['ExchangeResponse'], 'entries'> & { entries: ServerEntry[] }>(`/api/visits/${visitId}/entries`, {
    after,
    entries,
  })

/** A visit's entries after a sequence. */
export const entriesAfter = async (visitId: string, after: number): Promise<ServerEntry[]> =>
  (await ask<{ entries: ServerEntry[] }>(`/api/visits/${visitId}/entries?after=${after}`)).entries

/** A visit with its context. */
export const wholeVisit = (visitId: string) => ask<Schemas['VisitRecord']>(`/api/visits/${visitId}`)

/** All that a visit of an engine will rest on. */
export const takeAlong = (engineId: string) => ask<Schemas['TakeAlongResponse']>(`/api/engines/${engineId}/take-along`)

/** The open visits of an engine. */
export const openVisitsOf = async (engineId: string) =>
  (await ask<Schemas['VisitListResponse']>(`/api/visits?open=true&engineId=${engineId}`)).visits
