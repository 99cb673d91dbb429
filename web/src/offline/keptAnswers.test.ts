import type { Query } from '@tanstack/vue-query'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Refusal } from '../api/client'
import { keptAnswer } from './keptAnswers'
import { store } from './store'
import { emptyDevice } from './testStore'

const query = (key: unknown[], data?: unknown) => {
  const state = { data, dataUpdatedAt: 0 }
  return {
    queryKey: key,
    queryHash: JSON.stringify(key),
    state,
    setState: (s: typeof state) => Object.assign(state, s),
  } as unknown as Query
}
const yard = ['yard']
const gone = () => Promise.reject(new TypeError('no network'))

beforeEach(emptyDevice)

describe('an answer of the server', () => {
  it('is kept, and stands in with its own age where nobody answers', async () => {
    await keptAnswer(Promise.resolve({ engines: 18 }), query(yard))
    await vi.waitFor(async () => expect(await (await store()).get('answers', '["yard"]')).toBeTruthy())
    const at = (await (await store()).get('answers', '["yard"]'))!.at
    const asked = query(yard)

    expect(await keptAnswer(gone(), asked)).toEqual({ engines: 18 })
    await vi.waitFor(() => expect(asked.state.dataUpdatedAt).toBe(at))
  })

  it('never stands in for a refusal, for what was never asked, or for newer data of the page', async () => {
    await keptAnswer(Promise.resolve(1), query(yard))
    await vi.waitFor(async () => expect(await (await store()).get('answers', '["yard"]')).toBeTruthy())

    await expect(keptAnswer(Promise.reject(new Refusal('no', 404, {}, {})), query(yard))).rejects.toThrow('no')
    await expect(keptAnswer(gone(), query(['types']))).rejects.toThrow('no network')
    await expect(keptAnswer(gone(), query(yard, 2))).rejects.toThrow('no network')
  })

  it('stands in where the network swallows the question, until the answer comes after all', async () => {
    await keptAnswer(Promise.resolve('old'), query(yard))
    await vi.waitFor(async () => expect(await (await store()).get('answers', '["yard"]')).toBeTruthy())
    vi.useFakeTimers({ toFake: ['setTimeout'] })
    let answer: (text: string) => void = () => {}
    const asked = query(yard)
    const shown = keptAnswer(new Promise<string>((resolve) => (answer = resolve)), asked)
    await vi.advanceTimersByTimeAsync(4_000)
    vi.useRealTimers()

    expect(await shown).toBe('old')
    answer('new')
    await vi.waitFor(() => expect(asked.state.data).toBe('new'))
  })

  it('of a visit is not kept here: its entries are', async () => {
    await keptAnswer(Promise.resolve(1), query(['visit', 'v']))
    expect(await (await store()).getAll('answers')).toEqual([])
  })
})
