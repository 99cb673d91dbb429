import type { Schemas } from './client'
import { reaching } from './reach'
import { toRefusal } from './refusal'

/** Sends a logbook file: to be looked at, or to be brought in. */
export function sendLogbook(
  path: 'preview' | 'import',
  file: File,
  asked: { goodOnly?: boolean; letters?: Schemas['BookLetters'] } = {},
) {
  const query = new URLSearchParams()
  if (asked.goodOnly) query.set('goodOnly', 'true')
  if (asked.letters) query.set('letters', asked.letters)
  return send<Schemas['LogbookReport']>(`/api/logbook/${path}?${query.toString()}`, file, 'text/csv')
}

/** Sends a file of hours: to be looked at, or to be taken. Its kind is found by what is in it. */
export function sendHours(path: 'preview' | 'import', file: File, asked: { engineId?: string; who?: string }) {
  const query = new URLSearchParams(Object.entries(asked).filter((e): e is [string, string] => !!e[1]))
  return send<Schemas['HoursReport']>(`/api/hours/${path}?${query.toString()}`, file, 'application/octet-stream')
}

/** Sends a drawer's count: to be looked at, or to be kept under somebody's name. */
export function sendCount(drawer: string, file: File, asked: { who?: string; all: boolean; keep: boolean }) {
  const query = new URLSearchParams({ all: String(asked.all), keep: String(asked.keep) })
  if (asked.who) query.set('who', asked.who)
  const type = file.name.endsWith('.xlsx')
    ? 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
    : 'text/csv'
  return send<Schemas['CountResponse']>(`/api/shim-drawers/${drawer}/count?${query.toString()}`, file, type)
}

/** Sends a sheet of engine types: to be looked at, or to be put in the book. */
export const sendTypes = (path: 'preview' | 'import', file: File) =>
  send<Schemas['TypeSheetReport']>(`/api/engine-types/sheet/${path}`, file, 'application/octet-stream')

/** Looks at a record's file: whether it is as it was written, and what stands here. */
export const checkRecord = (file: File) =>
  send<Schemas['RecordCheckResponse']>('/api/record-files/check', file, 'application/json')

async function send<Report>(path: string, file: File, type: string): Promise<Report> {
  const response = await reaching(new Request(path, { method: 'POST', headers: { 'content-type': type }, body: file }))
  const body: unknown = await response.json().catch(() => ({}))
  if (!response.ok) throw toRefusal(body, response.status)
  return body as Report
}
