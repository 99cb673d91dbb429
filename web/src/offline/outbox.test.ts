import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceName } from './device'
import type { WrittenEntry } from './entries'
import { moveFirstOutbox } from './firstOutbox'
import { tell } from './news'
import {
  followOutbox,
  look,
  outbox,
  putAway,
  refused,
  unsentOf,
  unwritten,
  waiting,
  writeAgain,
  writeDown,
} from './outbox'
import * as storeModule from './store'
import { emptyDevice } from './testStore'

const visit = '0190-visit'
const note = (text: string) => ({ kind: 'noted' as const, text })
const texts = () => waiting.value.map((row) => (row.entry as { text?: string }).text)

beforeEach(emptyDevice)

describe('the outbox', () => {
  it('writes an entry down with who, when and on which device before anything else happens', async () => {
    const [line] = await writeDown(visit, [note('a drop of oil')], 'tove')

    expect(line).toMatchObject({ kind: 'noted', text: 'a drop of oil', by: 'tove', device: deviceName() })
    expect(line!.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7/)
    expect(await (await storeModule.store()).getAll('outbox')).toMatchObject([{ visitId: visit, entry: line }])
    expect(unsentOf(visit)).toEqual([line])
  })

  it('keeps the order of what was written, over visits and within a millisecond', async () => {
    for (let i = 0; i < 20; i++) await writeDown(i % 2 ? visit : 'other', [note(`${i}`), note(`${i}b`)], 'tove')

    expect(texts()).toEqual(Array.from({ length: 20 }, (_, i) => [`${i}`, `${i}b`]).flat())
  })

  it('hears of what another tab writes', async () => {
    const stop = followOutbox()
    const db = await storeModule.store()
    await db.add('outbox', {
      visitId: visit,
      entry: { id: 'x', kind: 'noted', text: 'theirs' },
    } as unknown as storeModule.OutboxRow)
    tell({ visitId: visit })
    await vi.waitFor(() => expect(texts()).toEqual(['theirs']))
    stop()
  })

  it('keeps a refusal in sight until somebody has seen it, of that visit only', async () => {
    await writeDown(visit, [note('no')], 'tove')
    const row = outbox.value[0]!
    await (await storeModule.store()).put('outbox', { ...row, refused: { code: 'stopNotProved' } })
    await look()

    expect([waiting.value.length, refused.value.length]).toEqual([0, 1])
    await putAway('another')
    expect(refused.value).toHaveLength(1)
    await putAway(visit)
    expect(outbox.value).toEqual([])
  })

  it('holds in the page what a full device cannot write, and writes it once there is room', async () => {
    const full = vi.spyOn(storeModule, 'store').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
    await writeDown(visit, [note('kept by the page')], 'tove')
    expect(unwritten.value).toHaveLength(1)
    expect(unsentOf(visit)).toHaveLength(1)

    await writeAgain()
    expect(unwritten.value).toHaveLength(1)

    full.mockRestore()
    await writeAgain()
    expect(unwritten.value).toEqual([])
    expect(texts()).toEqual(['kept by the page'])
  })
})

describe('what waited before there was a store', () => {
  const old = (id: string, text: string) =>
    ({ id, kind: 'noted', text, at: '', by: '', device: '' }) as unknown as WrittenEntry

  it('moves over once, in its order, refusals too, and passes over what is no entry', async () => {
    localStorage.setItem(`zd-entry:${visit}:2`, JSON.stringify(old('2', 'second')))
    localStorage.setItem(`zd-entry:${visit}:1`, JSON.stringify(old('1', 'first')))
    localStorage.setItem(`zd-entry:${visit}:broken`, '{half')
    localStorage.setItem(
      `zd-refused:${visit}:3`,
      JSON.stringify({ entry: old('3', 'no'), problem: { code: 'malformed' } }),
    )
    await moveFirstOutbox()
    await moveFirstOutbox()
    await look()

    expect(texts()).toEqual(['first', 'second'])
    expect(refused.value[0]).toMatchObject({ visitId: visit, refused: { code: 'malformed' } })
    expect(Object.keys(localStorage).filter((k) => k.startsWith('zd-entry') || k.startsWith('zd-refused'))).toEqual([])
  })
})
