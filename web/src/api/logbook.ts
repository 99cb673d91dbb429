import { toRefusal, type Schemas } from './client'
import { reaching } from './reach'

/** Sends a logbook file: to be looked at, or to be brought in. */
export async function sendLogbook(
  path: 'preview' | 'import' | 'import?goodOnly=true',
  file: File,
): Promise<Schemas['LogbookReport']> {
  const response = await reaching(
    new Request(`/api/logbook/${path}`, { method: 'POST', headers: { 'content-type': 'text/csv' }, body: file }),
  )
  const body: unknown = await response.json().catch(() => ({}))
  if (!response.ok) throw toRefusal(body, response.status)
  return body as Schemas['LogbookReport']
}
