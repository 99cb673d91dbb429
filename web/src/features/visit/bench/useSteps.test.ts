import { describe, expect, it } from 'vitest'
import { nextTick, reactive } from 'vue'
import { useSteps } from './useSteps'
import type { Sheet, Visit } from './useVisit'

/** A visit on a twin: two stops of two points, a list before and one after. */
function visit() {
  const point = (label: string, stopIndex: number) => ({ label, stopIndex, found: null, left: null, done: false })
  const state = reactive({
    view: { state: 'open', refusals: [{ code: 'foundMissing' }] as object[] },
    sheet: {
      condition: 'cold',
      at: 'makeSafe',
      atStop: null as number | null,
      course: [
        { part: 'makeSafe', done: false },
        { part: 'condition', done: false },
        { part: 'covers', done: false },
        { part: 'stop', stop: 0, done: false },
        { part: 'stop', stop: 1, done: false },
        { part: 'closeUp', done: false },
        { part: 'sign', done: false },
      ],
      steps: [],
      stops: [
        { index: 0, points: ['1I', '1E'], at: '1I', done: false },
        { index: 1, points: ['2I', '2E'], at: '2I', done: false },
      ],
      points: [point('1I', 0), point('1E', 0), point('2I', 1), point('2E', 1)],
    },
  })
  const steps = useSteps(
    () => state.view as unknown as Visit,
    () => state.sheet as unknown as Sheet,
  )
  /** The guide stands at a part, or at a point of a stop. */
  const guide = (at: string, atStop: number | null = null, point?: string) => {
    Object.assign(state.sheet, { at, atStop })
    if (point) state.sheet.stops[atStop!]!.at = point
  }
  const tick = (part: string) => (state.sheet.course.find((c) => c.part === part)!.done = true)
  return { state, steps, guide, tick }
}

describe('the bench', () => {
  it('stands where the guide leads: safe, condition, stops, close up, sign', () => {
    const { steps, guide } = visit()
    expect(steps.step.value).toBe('makeSafe')
    guide('condition')
    expect(steps.step.value).toBe('condition')
    guide('stop', 1, '2E')
    expect(steps.step.value).toBe(1)
    expect(steps.current.value?.label).toBe('2E')
    guide('closeUp')
    expect(steps.step.value).toBe('closeUp')
    guide('sign')
    expect(steps.step.value).toBe('sign')
  })

  it('names its steps, the condition as it is, and ticks what is done', () => {
    const { state, steps, tick } = visit()
    expect(steps.steps.value.map((s) => s.text)).toEqual([
      'Make safe',
      'Cold',
      'Open up',
      'Stop 1',
      'Stop 2',
      'Close up',
      'Sign',
    ])
    tick('makeSafe')
    expect(steps.steps.value[0]!.done).toBe(true)
    state.sheet.condition = 'hot'
    expect(steps.steps.value[1]!.text).toBe('Hot')
  })

  it('goes to a point that is picked, and leads on once its figure is kept', async () => {
    const { state, steps, guide } = visit()
    guide('stop', 0, '1I')
    steps.pick('2I')
    expect([steps.step.value, steps.current.value?.label]).toEqual([1, '2I'])

    state.sheet.points[2] = { ...state.sheet.points[2]!, found: { id: 'r' } as never }
    await nextTick()
    expect([steps.step.value, steps.current.value?.label]).toEqual([0, '1I'])
  })

  it('stays at a chosen list until it is ticked to its end', async () => {
    const { steps, guide, tick } = visit()
    guide('stop', 0, '1I')
    steps.go('closeUp')
    expect(steps.step.value).toBe('closeUp')
    await nextTick()
    tick('closeUp')
    await nextTick()
    expect(steps.step.value).toBe(0)
  })

  it('closed up with all that is owed there, goes on to the signature though other points were never looked at', async () => {
    const { state, steps, guide, tick } = visit()
    guide('stop', 0, '1I')
    state.view.refusals = []
    steps.go('closeUp')
    await nextTick()
    tick('closeUp')
    await nextTick()
    expect(steps.step.value).toBe('sign')
  })

  it('going to where the guide is anyway follows the guide again', () => {
    const { steps, guide } = visit()
    guide('stop', 0, '1I')
    steps.go(0)
    guide('stop', 1, '2I')
    expect(steps.step.value).toBe(1)
  })

  it('of a closed visit shows its end', () => {
    const { state, steps } = visit()
    state.view.state = 'signed'
    expect([steps.closed.value, steps.step.value]).toEqual([true, 'sign'])
  })
})
