import { beforeEach, describe, expect, it } from 'vitest'
import { arrived, deviceName, followTabs, look, putAway, refuse, refused, waiting, writeDown } from './outbox'

const visit = '0190-visit'
const note = (text: string) => ({ kind: 'noted' as const, text })

beforeEach(() => {
  localStorage.clear()
  look()
})

describe('the outbox', () => {
  it('writes an entry down with who, when and on which device before anything else happens', () => {
    const line = writeDown(visit, note('a drop of oil'), 'tove')

    expect(line).toMatchObject({ kind: 'noted', text: 'a drop of oil', by: 'tove', device: deviceName() })
    expect(line.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7/)
    expect(JSON.parse(localStorage.getItem(`zd-entry:${visit}:${line.id}`)!)).toEqual(line)
    expect(waiting.value).toEqual([{ visitId: visit, entry: line }])
  })

  it('keeps the order of what was written within one millisecond', () => {
    const lines = Array.from({ length: 50 }, (_, i) => writeDown(visit, note(String(i)), 'tove'))

    expect(waiting.value.map((w) => w.entry.id)).toEqual(lines.map((l) => l.id))
  })

  it('holds what two tabs write beside one another, and loses neither', () => {
    const mine = writeDown(visit, note('mine'), 'tove')
    // Another tab writes straight into the storage that both share.
    localStorage.setItem(`zd-entry:${visit}:zzz`, JSON.stringify({ ...mine, id: 'zzz', text: 'theirs' }))
    look()

    expect(waiting.value.map((w) => (w.entry as { text: string }).text)).toEqual(['mine', 'theirs'])
  })

  it('hears of another tab without being asked', () => {
    const stop = followTabs()
    const line = writeDown(visit, note('sent elsewhere'), 'tove')
    localStorage.removeItem(`zd-entry:${visit}:${line.id}`)
    window.dispatchEvent(Object.assign(new Event('storage'), { key: `zd-entry:${visit}:${line.id}` }))

    expect(waiting.value).toEqual([])
    stop()
  })

  it('lets go only of what arrived', () => {
    const [first, second] = [writeDown(visit, note('1'), 'tove'), writeDown(visit, note('2'), 'tove')]
    arrived(visit, [first.id])

    expect(waiting.value.map((w) => w.entry.id)).toEqual([second.id])
  })

  it('keeps a refusal in sight, through a reload too, until somebody has seen it', () => {
    const line = writeDown(visit, note('no'), 'tove')
    refuse(visit, line, { code: 'notProved', detail: 'Prove the stop first.' })
    arrived(visit, [line.id])
    refused.value = []
    look()

    expect(refused.value[0]).toMatchObject({ visitId: visit, problem: { code: 'notProved' } })
    putAway('another visit')
    expect(refused.value).toHaveLength(1)
    putAway(visit)
    expect(refused.value).toEqual([])
  })

  it('passes over what is no entry', () => {
    localStorage.setItem(`zd-entry:${visit}:broken`, '{half')
    localStorage.setItem(`zd-entry:${visit}:empty`, 'null')
    look()

    expect(waiting.value).toEqual([])
  })

  it('keeps the name of its device', () => expect(deviceName()).toBe(deviceName()))
})
