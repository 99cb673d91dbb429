import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, reactive, type EffectScope } from 'vue'
import type { Entry } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { keepsItselfAfter, useMeasuring, type Measuring } from './useMeasuring'
import type { Draft, Point, Sheet } from './useVisit'

let scope: EffectScope
beforeEach(() => {
  setActivePinia(createPinia())
  scope = effectScope()
  vi.useFakeTimers()
})
afterEach(() => {
  localStorage.clear()
  scope.stop()
  vi.useRealTimers()
})

/** A point that is being measured, as the server's sheet has it. */
function bench(
  more: {
    stage?: Point['stage']
    draft?: Partial<Draft> | null
    server?: object | null
    point?: object
    sheet?: object
    seen?: Measuring['seen']
  } = {},
) {
  const state = reactive({
    visitId: 'v1',
    sheet: { trayUnit: 'mm', manner: 'bladeOut', measuring: 'blades', ...more.sheet } as Sheet,
    point: {
      label: '1E',
      found: null,
      left: null,
      foundDraft: more.server ?? null,
      leftDraft: more.server ?? null,
      minMm: 0.35,
      stage: more.stage ?? 'asFound',
      stageIfSet: 'asLeft',
      ...more.point,
    } as unknown as Point,
    resetting: false,
    anew: false,
    trouble: null as Measuring['trouble'],
    seen: more.seen ?? null,
    draftOf: () =>
      more.draft === undefined || more.draft === null
        ? null
        : ({ reading: 'r1', trials: [], figure: '', unit: 'mm', ...more.draft } as Draft),
    readingFor: () => 'r1',
  })
  const said: Entry[][] = []
  const m = scope.run(() => useMeasuring(state, (...entries) => void said.push(entries)))!
  return { state, m, said }
}
const drags = { trials: [{ blades: ['0.25'], feel: 'drag' as const, entry: 'e1' }] }

describe('a reading being made', () => {
  it('says each try under the one identifier of its reading', () => {
    const { m, said } = bench()
    m.tried({ blades: ['0.25', '0.05'], feel: 'free' })

    expect(said).toEqual([
      [
        {
          kind: 'tried',
          reading: 'r1',
          point: '1E',
          stage: 'asFound',
          blades: ['0.25', '0.05'],
          unit: 'mm',
          feel: 'free',
        },
      ],
    ])
  })

  it('of a figure that a blade now overrules takes the figure back first', () => {
    const { m, said } = bench({ draft: { figure: '0.25', figureEntry: 'f1' } })
    m.tried({ blades: ['0.30'], feel: 'noGo' })

    expect(said[0]!.map((e) => e.kind)).toEqual(['undone', 'tried'])
    expect(said[0]![0]).toEqual({ kind: 'undone', entry: 'f1' })
  })

  it('without proof of the position says so in the entry', () => {
    const { m, said } = bench()
    m.unproved.value = true
    m.typed.value = ' 0.25 '
    m.figure()

    expect(said[0]![0]).toMatchObject({ kind: 'figureRead', figure: '0.25', unproved: true })
  })

  it('is not touched by news: figure, unit and reason stay as they are typed', async () => {
    const { state, m } = bench({ stage: 'asLeft' })
    ;[m.typed.value, m.unit.value, m.why.value, m.leaving.value] = ['16', 'thou', 'worn seat', true]
    state.point = { ...state.point, expectedMm: 0.39 } as Point
    await nextTick()

    expect([m.typed.value, m.unit.value, m.why.value, m.leaving.value]).toEqual(['16', 'thou', 'worn seat', true])
  })

  it('begins anew at another point', async () => {
    const { state, m } = bench()
    ;[m.typed.value, m.unproved.value] = ['16', true]
    state.point = { ...state.point, label: '2E' } as Point
    await nextTick()

    expect([m.typed.value, m.unproved.value]).toEqual(['', false])
  })

  it('may be kept once the server has read it, and not before', () => {
    expect(bench({ draft: drags }).m.ready.value).toBe(false)
    expect(bench({ draft: drags, server: { state: 'inWindow' } }).m.ready.value).toBe(true)
    expect(bench({ draft: drags, server: { complaint: 'both cannot be' } }).m.ready.value).toBe(false)
  })

  it('as found is kept as it is; as left sets the point with it', () => {
    const found = bench({ draft: drags, server: { state: 'loose', action: 'set' } })
    found.m.keep()
    expect(found.said).toEqual([[{ kind: 'kept', reading: 'r1', sure: false }]])

    const left = bench({
      stage: 'asLeft',
      draft: drags,
      server: { state: 'inWindow', action: 'leave', onKeeping: 'set' },
    })
    left.m.keep()
    expect(left.said[0]!.map((e) => e.kind)).toEqual(['kept', 'outcome'])
    expect(left.said[0]![1]).toMatchObject({ outcome: 'set', point: '1E' })
  })

  it('left out of its window is kept only with a reason, and the record has it', async () => {
    const { m, said } = bench({
      stage: 'asLeft',
      draft: drags,
      server: { state: 'loose', owesWhy: true, onKeeping: 'leftSo' },
    })
    expect(m.ready.value).toBe(false)
    m.keep()
    expect(said).toEqual([])

    m.why.value = ' no more thread '
    await nextTick()
    // A reload finds the reason as it was typed.
    expect(bench({ stage: 'asLeft' }).m.why.value).toBe(' no more thread ')
    expect(m.ready.value).toBe(true)
    m.keep()
    expect(said[0]![1]).toEqual({ kind: 'outcome', point: '1E', outcome: 'leftSo', why: 'no more thread' })
    expect(said[0]![0]).toMatchObject({ sure: true })
    expect(m.why.value).toBe('')
  })

  it('takes back the last try, or the figure', () => {
    const tries = bench({ draft: drags })
    tries.m.takeBack()
    expect(tries.said).toEqual([[{ kind: 'undone', entry: 'e1' }]])

    const none = bench()
    none.m.takeBack()
    expect(none.said).toEqual([])
  })

  it('offers the other unit where the figure is far from the window, and takes it at a tap', () => {
    const { m, said } = bench({ draft: { figure: '16' }, server: { written: '16', unit: 'mm', offerUnit: 'thou' } })
    expect(m.complaint.value).toBe('16 mm is far from the window. Did you mean 16 thou?')
    m.otherUnit()

    expect(said[0]![0]).toMatchObject({ kind: 'figureRead', figure: '16', unit: 'thou' })
  })

  it('hears only of refusals of its own', () => {
    const { state, m } = bench({ draft: drags })
    const refusal = Object.assign(new Error('not there'), { code: 'figureDoubtful' })
    state.trouble = { refusal, entry: { kind: 'tried', point: '2E' } } as unknown as Measuring['trouble']
    expect(m.complaint.value).toBeNull()
    state.trouble = { refusal, entry: { kind: 'kept', reading: 'r1' } } as unknown as Measuring['trouble']
    expect(m.complaint.value).toBe('not there')
    expect(m.doubtful.value).toBe(true)
  })

  it('between two blades is two tries in one tap', () => {
    const { m, said } = bench()
    m.tried({ blades: ['0.25'], feel: 'free' }, { blades: ['0.30'], feel: 'noGo' })
    expect(said[0]!.map((e) => 'feel' in e && e.feel)).toEqual(['free', 'noGo'])
  })

  it('where the eye is on one valve says what was seen with the first try, and no more after it', () => {
    const { state, m, said } = bench({ seen: { points: ['3I'], said: '3 exhaust just begins to move.' } })
    m.tried({ blades: ['0.30'], feel: 'drag' })
    expect(said[0]!.map((e) => e.kind)).toEqual(['positionProved', 'tried'])
    state.seen = null
    m.tried({ blades: ['0.35'], feel: 'noGo' })
    expect(said[1]!.map((e) => e.kind)).toEqual(['tried'])
  })

  it('read off a dial is written down as that', () => {
    const { m, said } = bench({ sheet: { measuring: 'dial' } })
    m.typed.value = '15'
    m.unit.value = 'thou'
    m.figure()
    expect(said[0]![0]).toMatchObject({ kind: 'figureRead', figure: '15', unit: 'thou', with: 'dial' })
  })

  it('measures what the sheet asks for, and anew or over again where somebody says so', () => {
    const { state, m } = bench({ stage: 'beforeLock' })
    expect(m.stage.value).toBe('beforeLock')
    state.resetting = true
    expect(m.stage.value).toBe('asLeft')
    state.anew = true
    expect(m.stage.value).toBe('asFound')
  })

  it('that the adjuster was turned is one tap, with how its nut was left', () => {
    const { m, said } = bench({ stage: 'beforeLock' })
    m.turned('tight')
    m.turned()
    expect(said).toEqual([[{ kind: 'turned', point: '1E', nut: 'tight' }], [{ kind: 'turned', point: '1E' }]])
  })
})

describe('a clear verdict', () => {
  async function tapped(server: object, more: Parameters<typeof bench>[0] = {}) {
    const made = bench({ ...more, draft: drags, server: null })
    made.m.tried({ blades: ['0.25'], feel: 'drag' })
    Object.assign(made.state.point, { foundDraft: server, leftDraft: server })
    await nextTick()
    return made
  }
  const kinds = (said: Entry[][]) => said.flat().map((e) => e.kind)

  it('keeps itself after a moment', async () => {
    const { said } = await tapped({ state: 'inWindow', action: 'leave', keepsItself: true })
    expect(kinds(said)).toEqual(['tried'])
    vi.advanceTimersByTime(keepsItselfAfter)
    expect(kinds(said)).toEqual(['tried', 'kept'])
  })

  it('does not, once it is taken back', async () => {
    const { m, said } = await tapped({ state: 'inWindow', action: 'leave', keepsItself: true })
    m.takeBack()
    await nextTick()
    vi.advanceTimersByTime(keepsItselfAfter)
    expect(kinds(said)).toEqual(['tried', 'undone'])
  })

  it.each<[string, object, Parameters<typeof bench>[0]]>([
    ['a verdict that is not clear', { state: null, action: 'measureOn' }, {}],
    ['a contradiction', { complaint: 'both cannot be' }, {}],
    ['an as-left out of its window', { state: 'loose', keepsItself: true, owesWhy: true }, { stage: 'asLeft' }],
    ['a figure the sheet would have finer', { state: 'inWindow', keepsItself: false }, {}],
  ])('waits for a tap at %s', async (_, server, more) => {
    const { said } = await tapped(server, more)
    vi.advanceTimersByTime(2 * keepsItselfAfter)
    expect(kinds(said)).toEqual(['tried'])
  })

  it('waits for a tap where this device says so, and where nobody tapped just now', async () => {
    usePreferences().keepsItself = false
    const { said } = await tapped({ state: 'inWindow', action: 'leave', keepsItself: true })
    vi.advanceTimersByTime(keepsItselfAfter)
    expect(kinds(said)).toEqual(['tried'])

    usePreferences().keepsItself = true
    const reopened = bench({ draft: drags, server: { state: 'inWindow', action: 'leave' } })
    vi.advanceTimersByTime(keepsItselfAfter)
    expect(reopened.said).toEqual([])
  })
})

describe('after it was turned', () => {
  const turned = () => {
    const made = bench({ stage: 'beforeLock' })
    made.m.turned('tight')
    made.m.tried({ blades: ['0.20'], feel: 'drag' })
    return made
  }
  const stages = (said: Entry[][]) => said.flat().map((e) => ('stage' in e ? e.stage : e.kind))

  it('a blade tapped before the sheet shows the nut locked is a figure of the locked nut, and is said once', async () => {
    const { state, said } = turned()
    expect(stages(said)).toEqual(['turned'])

    state.point = { ...state.point, stage: 'asLeft' }
    await nextTick()
    vi.advanceTimersByTime(10_000)
    expect(stages(said)).toEqual(['turned', 'asLeft'])
  })

  it('a sheet that never comes holds a tap up for a moment, and loses none', () => {
    const { said } = turned()
    vi.advanceTimersByTime(3_000)
    expect(stages(said)).toEqual(['turned', 'beforeLock'])

    const left = turned()
    scope.stop()
    expect(stages(left.said)).toEqual(['turned', 'beforeLock'])
  })
})
