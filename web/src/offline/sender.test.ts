import { QueryClient } from '@tanstack/vue-query'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Refusal } from '../api/client'
import * as exchangeModule from './exchange'
import { look, refused, waiting, writeDown } from './outbox'
import { heldBecause, isHeld, startSending } from './sender'

vi.mock('../api/queries', () => ({
  queries: { visit: (id: string) => ({ queryKey: ['visit', id], queryFn: () => Promise.resolve({ visitId: id }) }) },
}))

const note = (text: string) => ({ kind: 'noted' as const, text })
const kept = (entries: { id: string }[]) =>
  ({ outcomes: entries.map((e) => ({ id: e.id, outcome: 'kept' })) }) as unknown as Awaited<
    ReturnType<typeof exchangeModule.exchange>
  >
let stop = () => {}

beforeEach(() => {
  localStorage.clear()
  look()
  ;[isHeld.value, heldBecause.value] = [false, null]
  vi.useFakeTimers()
})
afterEach(() => {
  stop()
  vi.useRealTimers()
})

describe('the sender', () => {
  it('sends what any screen wrote down, visit by visit, each in its order', async () => {
    const sent = vi.spyOn(exchangeModule, 'exchange').mockImplementation((_, entries) => Promise.resolve(kept(entries)))
    writeDown('a', note('1'), 'tove')
    writeDown('b', note('2'), 'tove')
    writeDown('a', note('3'), 'tove')
    stop = startSending(new QueryClient())
    await vi.runAllTimersAsync()

    expect(
      sent.mock.calls.map(([visit, entries]) => [visit, entries.map((e) => (e as { text?: string }).text)]),
    ).toEqual([
      ['a', ['1', '3']],
      ['b', ['2']],
    ])
    expect(waiting.value).toEqual([])
  })

  it('keeps everything while the server is gone, and sends the same entries when it is back', async () => {
    const sent = vi
      .spyOn(exchangeModule, 'exchange')
      .mockRejectedValueOnce(new TypeError('no network'))
      .mockImplementation((_, entries) => Promise.resolve(kept(entries)))
    const line = writeDown('a', note('1'), 'tove')
    stop = startSending(new QueryClient())
    await vi.advanceTimersByTimeAsync(10)

    expect(isHeld.value).toBe(true)
    expect(waiting.value).toHaveLength(1)

    await vi.advanceTimersByTimeAsync(2_500)
    expect(isHeld.value).toBe(false)
    expect(waiting.value).toEqual([])
    expect(sent.mock.calls.map(([, entries]) => entries[0]?.id)).toEqual([line.id, line.id])
  })

  it('throws nothing away where the server will not have the whole batch, and says why', async () => {
    vi.spyOn(exchangeModule, 'exchange').mockRejectedValue(new Refusal('Too large.', 413, {}, { code: 'tooLarge' }))
    writeDown('a', note('1'), 'tove')
    stop = startSending(new QueryClient())
    await vi.advanceTimersByTimeAsync(10)

    expect(waiting.value).toHaveLength(1)
    expect(heldBecause.value?.code).toBe('tooLarge')
  })

  it('one visit that cannot be sent holds up no other', async () => {
    vi.spyOn(exchangeModule, 'exchange').mockImplementation((visit, entries) =>
      visit === 'a' ? Promise.reject(new TypeError('no')) : Promise.resolve(kept(entries)),
    )
    writeDown('a', note('1'), 'tove')
    writeDown('b', note('2'), 'tove')
    stop = startSending(new QueryClient())
    await vi.advanceTimersByTimeAsync(10)

    expect(waiting.value.map((w) => w.visitId)).toEqual(['a'])
  })

  it('keeps what a rule refused in sight and sends the rest', async () => {
    vi.spyOn(exchangeModule, 'exchange').mockImplementation((_, entries) =>
      Promise.resolve({
        outcomes: entries.map((e, i) =>
          i === 0
            ? { id: e.id, outcome: 'refused', problem: { code: 'notProved', detail: 'Prove it first.' } }
            : { id: e.id, outcome: 'kept' },
        ),
      } as unknown as Awaited<ReturnType<typeof exchangeModule.exchange>>),
    )
    writeDown('a', note('1'), 'tove')
    writeDown('a', note('2'), 'tove')
    stop = startSending(new QueryClient())
    await vi.runAllTimersAsync()

    expect(waiting.value).toEqual([])
    expect(refused.value.map((r) => r.problem.code)).toEqual(['notProved'])
  })
})
