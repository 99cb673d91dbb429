import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bringVisit, headOf, heldVisit, pull, withEntries } from './held'
import { onlyOne } from './onlyOne'
import { store, type OutboxRow, type ServerEntry } from './store'
import { dropClosed, leaveBehind, takeEngine } from './taken'
import { emptyDevice, json } from './testStore'

const entry = (sequence: number): ServerEntry => ({ id: `${sequence}`, sequence, kind: 'noted' })
const server = (answers: Record<string, unknown>) =>
  vi.stubGlobal('fetch', (path: string) =>
    Promise.resolve(path in answers ? json(answers[path]) : json({ detail: 'no' }, 404)),
  )
const engine = { engineId: 'e', name: 'Lorry 2', machine: 'Lorry 2', site: 'Depot' }
const visit = { '/api/visits/v': { engineId: 'e', contextId: 'c', context: { engine: {} }, refused: [] } }

beforeEach(emptyDevice)

describe('the server’s entries on this device', () => {
  it.each([
    [
      [1, 2],
      [3, 4],
      [1, 2, 3, 4],
    ],
    [
      [1, 2],
      [2, 1],
      [1, 2],
    ],
    [[1], [3], [1]],
    [[], [2, 1], [1, 2]],
  ])('%j and then %j are %j: each once, without a gap', (known, given, whole) => {
    expect(withEntries(known.map(entry), given.map(entry)).map((e) => e.sequence)).toEqual(whole)
  })

  it('come with the context once, and then only what is new', async () => {
    server({
      ...visit,
      '/api/visits/v/entries?after=0': { entries: [entry(1), entry(2)] },
      '/api/visits/v/entries?after=2': { entries: [entry(3)] },
    })
    await bringVisit('v')

    expect(await (await store()).get('contexts', 'c')).toBeTruthy()
    expect(await pull('v')).toBe(true)
    expect(headOf(await heldVisit('v'))).toBe(3)
  })
})

describe('an engine taken along', () => {
  const along = { '/api/engines/e/take-along': { contextId: 'new', context: { engine: {} } } }

  it('comes with the visits that are open on it, and leaves nothing behind but what those rest on', async () => {
    server({
      ...along,
      ...visit,
      '/api/visits?open=true&engineId=e': { visits: [{ visitId: 'v' }] },
      '/api/visits/v/entries?after=0': { entries: [entry(1)] },
    })
    await takeEngine(engine)
    const db = await store()

    expect(await db.get('taken', 'e')).toMatchObject({ name: 'Lorry 2', contextId: 'new' })
    expect(headOf(await heldVisit('v'))).toBe(1)
    await leaveBehind('e')
    expect(await db.getAllKeys('contexts')).toEqual(['c'])
  })

  it('keeps closed visits for a fortnight, and any of which something waits', async () => {
    const db = await store()
    const visit = (visitId: string, closed: string | null) => ({
      visitId,
      engineId: 'e',
      contextId: 'c',
      refused: [],
      entries: [entry(1), ...(closed ? [{ ...entry(2), kind: 'signed', at: closed }] : [])],
    })
    for (const v of [
      visit('old', '2026-11-01'),
      visit('new', '2026-11-20'),
      visit('open', null),
      visit('late', '2026-11-01'),
    ])
      await db.put('visits', v)
    await db.add('outbox', { visitId: 'late', entry: { id: 'x' } } as unknown as OutboxRow)
    await dropClosed(Date.parse('2026-11-26'))

    expect(await db.getAllKeys('visits')).toEqual(['late', 'new', 'open'])
  })

  it('keeps no context it has outgrown', async () => {
    server({ ...along, '/api/visits?open=true&engineId=e': { visits: [] } })
    await takeEngine(engine)
    server({
      '/api/engines/e/take-along': { contextId: 'newer', context: { engine: {} } },
      '/api/visits?open=true&engineId=e': { visits: [] },
    })
    await takeEngine(engine)

    expect(await (await store()).getAllKeys('contexts')).toEqual(['newer'])
  })
})

describe('what only one tab may do', () => {
  it('waits for nobody where the browser has no locks, and goes on after a tab that died', async () => {
    vi.stubGlobal('navigator', {})
    const db = await store()
    await db.put('leases', { name: 'send', holder: 'another tab', until: Date.now() + 1_000 })
    expect(await onlyOne('send', () => Promise.resolve('done'))).toBeUndefined()

    await db.put('leases', { name: 'send', holder: 'another tab', until: Date.now() - 1 })
    expect(await onlyOne('send', () => Promise.resolve('done'))).toBe('done')
    expect(await db.getAll('leases')).toEqual([])
  })
})
