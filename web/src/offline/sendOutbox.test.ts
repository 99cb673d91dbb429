import { beforeEach, describe, expect, it, vi } from 'vitest'
import { joinVisit, openAnew, sendAgain, throwAway } from './decide'
import type { Entry } from './entries'
import { look, refused, unsentOf, waiting, writeDown } from './outbox'
import { sendVisit, visitsToSend } from './sendOutbox'
import { store, type HeldVisit } from './store'
import { emptyDevice, json, takesAll } from './testStore'

const note = (text: string): Entry => ({ kind: 'noted', text })
const opened: Entry = { kind: 'opened', engineId: 'e', job: 'overhead', date: '2026-11-26', shownHours: 10 }
const held = (visitId: string): HeldVisit => ({ visitId, engineId: 'e', contextId: 'c', entries: [], refused: [] })

/** Answers each exchange in turn; what was sent is kept. */
function server(...answers: ((entries: { id: string }[]) => Response)[]) {
  const sent: { path: string; after: number; entries: { id: string; text?: string; kind: string }[] }[] = []
  vi.stubGlobal('fetch', (path: string, init?: { body?: string }) => {
    if (!init?.body) return Promise.resolve(json({ entries: [] }))
    const { after, entries } = JSON.parse(init.body) as (typeof sent)[number]
    sent.push({ path, after, entries })
    const answer = answers[Math.min(sent.length, answers.length) - 1]!
    try {
      return Promise.resolve(answer(entries))
    } catch (gone) {
      return Promise.reject(gone as Error)
    }
  })
  return sent
}
const all = (entries: { id: string }[]) => json(takesAll(entries))
const gone = () => {
  throw new TypeError('no network')
}
const refuses =
  (code: string, at = 0, facts = {}) =>
  (entries: { id: string }[]) =>
    json({
      head: 0,
      outcomes: entries.map((e, i) =>
        i === at
          ? { id: e.id, outcome: 'refused', sequence: null, problem: { code, detail: code, ...facts } }
          : {
              id: e.id,
              outcome: i < at ? 'taken' : 'refused',
              sequence: i < at ? i + 1 : null,
              problem: { code: 'restsOn' },
            },
      ),
      entries: [],
    })

beforeEach(emptyDevice)

describe('sending a visit', () => {
  it('sends all that waits in its order and keeps it as the server’s', async () => {
    await (await store()).put('visits', held('v'))
    await writeDown('v', [opened, note('1'), note('2')], 'tove')
    const sent = server(all)

    expect(await sendVisit('v')).toBe('sent')
    await look()
    expect(sent[0]).toMatchObject({ path: '/api/visits/v/entries', after: 0 })
    expect(waiting.value).toEqual([])
    expect((await (await store()).get('visits', 'v'))!.entries.map((e) => [e.kind, e.sequence])).toEqual([
      ['opened', 1],
      ['noted', 2],
      ['noted', 3],
    ])
  })

  it('keeps everything where nobody answers, and sends the same entries when somebody does', async () => {
    const lines = await writeDown('v', [note('1')], 'tove')
    const sent = server(gone, all)

    expect(await sendVisit('v')).toBe('gone')
    expect(unsentOf('v')).toEqual(lines)
    expect(await sendVisit('v')).toBe('sent')
    expect(sent.map((s) => s.entries[0]!.id)).toEqual([lines[0]!.id, lines[0]!.id])
  })

  it.each([500, 503, 429])('waits after a %i', async (status) => {
    await writeDown('v', [note('1')], 'tove')
    server(() => json({ detail: 'not now' }, status))

    expect(await sendVisit('v')).toBe('later')
    expect(await visitsToSend()).toEqual(['v'])
  })

  it('takes a page of something between here and the server for no answer', async () => {
    await writeDown('v', [note('1')], 'tove')
    server(() => new Response('<html>sign in', { headers: { 'content-type': 'text/html' } }))

    expect(await sendVisit('v')).toBe('gone')
  })

  it('holds a visit that the server will not have, and lets the others go', async () => {
    await writeDown('v', [note('1')], 'tove')
    await writeDown('w', [note('2')], 'tove')
    server(() => json({ detail: 'There is no such visit.', code: 'notOpened' }, 404))

    expect(await sendVisit('v')).toBe('held')
    expect(await visitsToSend()).toEqual(['w'])
    expect((await (await store()).get('visits', 'v'))!.held).toMatchObject({ code: 'notOpened' })
    await sendAgain('v')
    expect(await visitsToSend()).toEqual(['v', 'w'])
  })

  it('keeps a refused entry in sight with what was said, and the rest goes', async () => {
    await writeDown('v', [note('1'), note('2')], 'tove')
    server((entries) =>
      json({
        head: 1,
        outcomes: [
          { id: entries[0]!.id, outcome: 'refused', sequence: null, problem: { code: 'stopNotProved' } },
          { id: entries[1]!.id, outcome: 'taken', sequence: 1, problem: null },
        ],
        entries: [],
      }),
    )

    expect(await sendVisit('v')).toBe('sent')
    await look()
    expect(refused.value.map((r) => r.refused)).toEqual([{ code: 'stopNotProved' }])
    expect(waiting.value).toEqual([])
  })

  it('adds what others did meanwhile, each once', async () => {
    await (await store()).put('visits', { ...held('v'), entries: [{ id: 'o', sequence: 1, kind: 'opened' }] })
    await writeDown('v', [note('mine')], 'tove')
    const sent = server((entries) =>
      json({
        head: 3,
        outcomes: [{ id: entries[0]!.id, outcome: 'taken', sequence: 3, problem: null }],
        entries: [{ id: 't', sequence: 2, kind: 'noted' }],
      }),
    )
    await sendVisit('v')

    expect(sent[0]!.after).toBe(1)
    expect((await (await store()).get('visits', 'v'))!.entries.map((e) => e.sequence)).toEqual([1, 2, 3])
  })
})

describe('an opening that the server will not have', () => {
  beforeEach(async () => {
    await (await store()).put('visits', held('mine'))
    await writeDown('mine', [opened, note('1'), note('2')], 'tove')
  })

  it('holds the whole visit: nothing of it is lost or marked', async () => {
    server(refuses('engineOpen', 0, { visitId: 'theirs' }))

    expect(await sendVisit('mine')).toBe('held')
    await look()
    expect(waiting.value).toHaveLength(3)
    expect(refused.value).toEqual([])
  })

  it('goes into the visit that is open, but for the opening, under the same identifiers', async () => {
    const before = unsentOf('mine')
    await joinVisit('mine', 'theirs')
    await look()

    expect(unsentOf('mine')).toEqual([])
    expect(unsentOf('theirs').map((e) => e.id)).toEqual(before.slice(1).map((e) => e.id))
    expect((await (await store()).get('visits', 'mine'))!.joined).toBe('theirs')
    const sent = server(all)
    await sendVisit('theirs')
    expect(sent[0]!.entries.map((e) => e.kind)).toEqual(['noted', 'noted'])
  })

  it('is said again with another meter, first as before', async () => {
    server(refuses('hoursBackwards'))
    await sendVisit('mine')
    await openAnew('mine', { shownHours: 12 })
    const sent = server(all)

    expect(await visitsToSend()).toEqual(['mine'])
    await sendVisit('mine')
    expect(sent[0]!.entries[0]).toMatchObject({ kind: 'opened', shownHours: 12 })
    expect(sent[0]!.entries.map((e) => e.text)).toEqual([undefined, '1', '2'])
  })

  it('is thrown away only when somebody says so', async () => {
    await throwAway('mine')
    await look()

    expect(waiting.value).toEqual([])
    expect(await (await store()).get('visits', 'mine')).toBeUndefined()
  })
})
