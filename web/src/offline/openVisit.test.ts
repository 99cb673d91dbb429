import { beforeEach, describe, expect, it, vi } from 'vitest'
import { prepareVisit } from './openVisit'
import { emptyDevice } from './testStore'

const answered = vi.hoisted(() => vi.fn())
vi.mock('../core/fold', () => ({ fold: answered }))
vi.mock('./exchange', () => ({ takeAlong: () => Promise.resolve({ contextId: 'c', context: { people: [] } }) }))
const opening = { kind: 'opened', engineId: 'e', job: 'overhead', date: '2026-12-01', shownHours: 99_000 } as never

beforeEach(async () => {
  await emptyDevice()
  answered.mockReset()
})

describe('an engine to be opened', () => {
  it('that is open at the server is said to be so, before its hours are doubted', async () => {
    answered.mockResolvedValue({ visit: null, outcomes: [{ problem: { code: 'hoursTooMany', detail: 'Too many.' } }] })

    await expect(prepareVisit('v', opening, 'p', 'other')).rejects.toMatchObject({
      code: 'engineOpen',
      body: { visitId: 'other' },
    })
    await expect(prepareVisit('v', opening, 'p')).rejects.toMatchObject({ code: 'hoursTooMany' })
  })

  it('opens where nothing speaks against it, whatever the server said before', async () => {
    answered.mockResolvedValue({ visit: {}, outcomes: [] })

    await expect(prepareVisit('v', opening, 'p', 'signed since')).resolves.toBe('c')
  })
})
