import { describe, expect, it } from 'vitest'
import { nextTick, reactive } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useMeasuring, type Measuring } from './useMeasuring'
import type { Draft, Point, Sheet } from './useVisit'

/** A point that is being measured, as the server's sheet has it. */
function bench(
  more: { setting?: boolean; draft?: Partial<Draft> | null; server?: object | null; point?: object } = {},
) {
  const state = reactive({
    sheet: { trayUnit: 'mm' } as Sheet,
    point: {
      label: '1E',
      found: null,
      left: null,
      foundDraft: more.server ?? null,
      leftDraft: more.server ?? null,
      ...more.point,
    } as unknown as Point,
    setting: more.setting ?? false,
    trouble: null as Measuring['trouble'],
    draftOf: () =>
      more.draft === undefined || more.draft === null
        ? null
        : ({ reading: 'r1', trials: [], figure: '', unit: 'mm', ...more.draft } as Draft),
    readingFor: () => 'r1',
  })
  const said: Entry[][] = []
  const m = useMeasuring(state, (...entries) => void said.push(entries))
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
    const { state, m } = bench({ setting: true })
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

    const left = bench({ setting: true, draft: drags, server: { state: 'inWindow', action: 'leave' } })
    left.m.keep()
    expect(left.said[0]!.map((e) => e.kind)).toEqual(['kept', 'outcome'])
    expect(left.said[0]![1]).toMatchObject({ outcome: 'set', point: '1E' })
  })

  it('left out of its window is kept only with a reason, and the record has it', () => {
    const { m, said } = bench({ setting: true, draft: drags, server: { state: 'loose', action: 'set' } })
    expect(m.ready.value).toBe(false)
    m.keep()
    expect(said).toEqual([])

    m.why.value = ' no more thread '
    expect(m.ready.value).toBe(true)
    m.keep()
    expect(said[0]![1]).toEqual({ kind: 'outcome', point: '1E', outcome: 'leftSo', why: 'no more thread' })
    expect(said[0]![0]).toMatchObject({ sure: true })
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
})
