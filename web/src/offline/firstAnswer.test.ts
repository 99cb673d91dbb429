import { QueryClient } from '@tanstack/vue-query'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { firstAnswer } from './firstAnswer'
import { foldedKey } from './foldedVisit'
import { store } from './store'
import { emptyDevice } from './testStore'

const served = vi.hoisted(() => vi.fn())
vi.mock('../api/queries', () => ({
  queries: { visit: (id: string) => ({ queryKey: ['visit', id], queryFn: () => served(id) as unknown }) },
}))
const sheet = { points: [] }

beforeEach(async () => {
  await emptyDevice()
  served.mockReset().mockResolvedValue({ visitId: 'v', sheet })
})

describe('what a bench shows first', () => {
  it('is the server’s fold, until this device has its own', async () => {
    const client = new QueryClient()
    await firstAnswer(client, 'v')
    expect(client.getQueryData(foldedKey('v'))).toEqual({ view: { visitId: 'v', sheet }, outcomes: [] })
  })

  it('is not the server’s where something of the visit waits here', async () => {
    const client = new QueryClient()
    await (await store()).put('outbox', { visitId: 'v', entry: { id: 'e1', kind: 'noted' } } as never)
    await firstAnswer(client, 'v')
    expect(client.getQueryData(foldedKey('v'))).toBeUndefined()
    expect(served).not.toHaveBeenCalled()
  })

  it('never takes the place of a fold of this device, and a server that is gone says nothing', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
    client.setQueryData(foldedKey('v'), { own: true })
    await firstAnswer(client, 'v')
    expect(client.getQueryData(foldedKey('v'))).toEqual({ own: true })
    served.mockRejectedValue(new TypeError('gone'))
    await expect(firstAnswer(client, 'w')).resolves.toBeUndefined()
    expect(client.getQueryData(foldedKey('w'))).toBeUndefined()
  })
})
