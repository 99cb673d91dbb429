import { createApp, h, nextTick, reactive } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Entry } from '../../../offline/entries'
import PauseBar from './PauseBar.vue'
import type { Sheet, Visit } from './useVisit'

const since = '2026-11-20T11:40:00.000Z'
const askAt = '2026-11-20T12:00:00.000Z'

function shown() {
  const said: Entry[][] = []
  const sheet = reactive({ stillness: { since, askAt, isPaused: false } }) as unknown as Sheet
  const view = { next: { point: '3E' } } as unknown as Visit
  const host = document.createElement('div')
  const app = createApp({
    render: () => h(PauseBar, { view, sheet, onSay: (...entries: Entry[]) => said.push(entries) }),
  })
  app.mount(host)
  const press = (text: string) =>
    [...host.querySelectorAll('button')].find((b) => b.textContent?.includes(text))!.click()
  const later = async (iso: string) => {
    vi.setSystemTime(new Date(iso))
    vi.advanceTimersByTime(5_000)
    await nextTick()
    await nextTick()
  }
  return { host, sheet, said, press, later }
}

describe('a pause', () => {
  beforeEach(() => void vi.useFakeTimers({ now: new Date('2026-11-20T11:41:00.000Z') }))
  afterEach(() => void vi.useRealTimers())

  it('is asked for once nothing was written down for so long, and told with its own times', async () => {
    const bench = shown()
    expect(bench.host.textContent).not.toContain('Away')
    await bench.later('2026-11-20T12:30:00.000Z')
    expect(bench.host.textContent).toContain('Away since')
    bench.press('Yes, a pause')
    await nextTick()
    expect(bench.said[0]!.map((e) => [e.kind, e.at])).toEqual([
      ['paused', since],
      ['resumed', expect.stringMatching(/^2026-11-20T12:30/)],
    ])
    expect(bench.host.textContent).not.toContain('Away')
  })

  it('stays asked when somebody goes on without an answer, and ended then', async () => {
    const bench = shown()
    await bench.later('2026-11-20T12:30:00.000Z')
    bench.sheet.stillness = { since: '2026-11-20T12:31:00.000Z', askAt: '2026-11-20T12:51:00.000Z', isPaused: false }
    await bench.later('2026-11-20T12:32:00.000Z')
    bench.press('No, at work')
    expect(bench.said[0]!.map((e) => [e.kind, e.at])).toEqual([['resumed', '2026-11-20T12:30:59.999Z']])
  })

  it('that is on says since when and before which point, and ends with one tap', async () => {
    const bench = shown()
    bench.sheet.stillness = { since, askAt, isPaused: true }
    await nextTick()
    expect(bench.host.textContent).toContain('before 3E')
    bench.press('Go on')
    expect(bench.said[0]!.map((e) => e.kind)).toEqual(['resumed'])
  })
})
