import { QueryClient } from '@tanstack/vue-query'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { goneSince } from '../api/reach'
import { tell } from './news'
import { unwritten, waiting, writeDown } from './outbox'
import { isHeld, sendNow, sendThis, startSending } from './sender'
import { store } from './store'
import { emptyDevice, json, takesAll } from './testStore'

const note = (text: string) => ({ kind: 'noted' as const, text })
let stop = () => {}
let answers: Record<string, () => Response>
let sent: string[]
let pulled: unknown[] = []

beforeEach(async () => {
  await emptyDevice()
  ;[isHeld.value, goneSince.value, sent, answers] = [false, null, [], {}]
  vi.stubGlobal('fetch', (path: string, init?: { body?: string }) => {
    if (!init?.body) return Promise.resolve(json({ entries: pulled }))
    const visit = path.split('/')[3]!
    sent.push(visit)
    try {
      const { entries } = JSON.parse(init.body) as { entries: { id: string }[] }
      return Promise.resolve(answers[visit]?.() ?? json(takesAll(entries)))
    } catch (gone) {
      return Promise.reject(gone as Error)
    }
  })
})
afterEach(() => stop())

describe('the sender', () => {
  it('sends what any screen writes down, by itself', async () => {
    stop = startSending(new QueryClient())
    await writeDown('a', [note('1')], 'tove')
    await writeDown('b', [note('2')], 'tove')

    await vi.waitFor(() => expect(waiting.value).toEqual([]))
    expect(new Set(sent)).toEqual(new Set(['a', 'b']))
  })

  it('is not held up by a visit that the server stumbles over', async () => {
    answers.a = () => json({ detail: 'trouble' }, 500)
    await writeDown('a', [note('1')], 'tove')
    await writeDown('b', [note('2')], 'tove')
    stop = startSending(new QueryClient())

    await vi.waitFor(() => expect(waiting.value.map((row) => row.visitId)).toEqual(['a']))
    expect(goneSince.value).toBeNull()
  })

  it('says since when nobody answers, and begins at once when somebody asks it to', async () => {
    answers.c = () => {
      throw new TypeError('no network')
    }
    stop = startSending(new QueryClient())
    await writeDown('c', [note('1')], 'tove')
    await vi.waitFor(() => expect(isHeld.value).toBe(true))
    expect(goneSince.value).not.toBeNull()

    delete answers.c
    sendNow()
    await vi.waitFor(() => expect(waiting.value).toEqual([]))
    expect([isHeld.value, goneSince.value]).toEqual([false, null])
  })

  it('has the pages look again at what another tab or the service worker sent', () => {
    const client = new QueryClient()
    const stale = vi.spyOn(client, 'invalidateQueries')
    stop = startSending(client)

    tell({ visitId: 'a' })
    expect(stale).not.toHaveBeenCalled()
    tell({ visitId: 'a', sent: true })
    for (const queryKey of [['visit'], ['visits'], ['yard'], ['engine']])
      expect(stale).toHaveBeenCalledWith({ queryKey, refetchType: 'active' })
  })

  it('tells a form what came of its own visit', async () => {
    await writeDown('d', [note('1')], 'tove')
    expect(await sendThis('d')).toBe('sent')
    answers.f = () => json({ code: 'notOpened', detail: 'There is no such visit.' }, 404)
    await writeDown('f', [note('1')], 'tove')
    expect(await sendThis('f')).toBe('held')
  })

  it('sends from the page what a full device cannot write, and lets go of it when the device has it', async () => {
    const db = await store()
    await db.put('visits', { visitId: 'g', engineId: 'e', contextId: 'c', entries: [], refused: [] })
    const full = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const [line] = await writeDown('g', [note('1')], 'tove')
    expect(unwritten.value).toHaveLength(1)
    pulled = [{ ...line, sequence: 1 }]
    stop = startSending(new QueryClient())

    await vi.waitFor(() => expect(unwritten.value).toEqual([]))
    expect(sent).toContain('g')
    expect((await db.get('visits', 'g'))!.entries).toHaveLength(1)
    full.mockRestore()
  })
})
