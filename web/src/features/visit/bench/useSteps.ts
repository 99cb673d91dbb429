import { computed, ref, watch } from 'vue'
import { isAskedIn } from '../../../shared/words/steps'
import type { Sheet, Visit } from './useVisit'

/** The steps of a visit: lists and the condition by name, stops by number. */
export type Step = 'makeSafe' | 'condition' | 'covers' | 'first' | 'closeUp' | 'sign' | number

/** Where the bench stands in its visit: the guide's next task, unless somebody chose a step or a point of their own. */
export function useSteps(view: () => Visit | null, sheet: () => Sheet | null) {
  const chosen = ref<Step | null>(null)
  const pickedPoint = ref<string | null>(null)
  /** A finished point that is set all the same. */
  const resetting = ref(false)

  /** The lines of a list that are asked in this kind of job. */
  const list = (which: string) =>
    view()?.context?.steps.filter((s) => s.list === which && isAskedIn(s, view()?.job)) ?? []
  const isTicked = (which: string) => list(which).every((s) => view()?.ticked.includes(s.step))
  const closed = computed(() => view()?.state !== 'open')
  const stopOf = (label?: string | null) => sheet()?.points.find((p) => p.label === label)?.stopIndex

  /** Where the eye is on the valves there is one step for all of them: the valve at hand stands for it. */
  const inTheMiddle = computed<Step>(() =>
    typeof step.value === 'number' ? step.value : typeof guided.value === 'number' ? guided.value : 0,
  )
  const steps = computed(() => {
    const s = sheet()
    if (!s) return []
    return [
      ...(view()?.bench ? [] : [{ step: 'makeSafe' as Step, text: 'Make safe', done: isTicked('makeSafe') }]),
      { step: 'condition' as Step, text: s.condition === 'cold' ? 'Cold' : 'Hot', done: s.conditionKnown },
      { step: 'covers' as Step, text: 'Open up', done: s.conditionKnown && isTicked('covers') },
      ...(list('stop').length ? [{ step: 'first' as Step, text: 'First', done: isTicked('stop') }] : []),
      ...(s.byEye
        ? [{ step: inTheMiddle.value, text: 'Valves', done: s.stops.every((stop) => stop.done) }]
        : s.stops.map((stop) => ({
            step: stop.index as Step,
            text: s.stops.length > 2 && stop.index > 0 ? `${stop.index + 1}` : `Stop ${stop.index + 1}`,
            done: stop.done,
          }))),
      { step: 'closeUp' as Step, text: 'Close up', done: isTicked('beforeCloseUp') && isTicked('closeUp') },
      { step: 'sign' as Step, text: 'Sign', done: !!view()?.signed },
    ]
  })
  const guided = computed<Step>(() => {
    const next = view()?.next
    if (!next || next.do === 'sign') return 'sign'
    if (next.do === 'condition') return 'condition'
    const asked = next.step ? view()?.context?.steps.find((s) => s.step === next.step)?.list : undefined
    if (asked === 'makeSafe' || asked === 'covers') return asked
    if (asked === 'stop') return 'first'
    if (asked && asked !== 'point') return 'closeUp'
    return stopOf(next.point) ?? 0
  })
  const step = computed<Step>(() => {
    if (closed.value) return chosen.value ?? 'sign'
    if (pickedPoint.value) return stopOf(pickedPoint.value) ?? 0
    return chosen.value ?? guided.value
  })
  const stop = computed(() => (typeof step.value === 'number' ? sheet()?.stops[step.value] : undefined))
  const current = computed(() => {
    const s = sheet()
    if (!s || !stop.value) return undefined
    const own = s.points.filter((p) => stop.value!.points.includes(p.label))
    const wanted = view()?.next?.point
    const label =
      pickedPoint.value ??
      (wanted && stop.value.points.includes(wanted)
        ? wanted
        : (own.find((p) => p.owesFound)?.label ?? own.find((p) => !p.done)?.label ?? own[0]?.label))
    return s.points.find((p) => p.label === label)
  })

  // Once a figure is kept the guide leads on; a tap of one's own holds only until then.
  watch(
    () =>
      sheet()
        ?.points.map((p) => `${p.label}${p.found?.id}${p.left?.id}${p.pass ?? ''}${p.done}`)
        .join(),
    (now, before) => {
      if (before === undefined || now === before) return
      pickedPoint.value = null
      resetting.value = false
      chosen.value = null
    },
  )
  // A list ticked to its end leads on by itself.
  watch(
    () => steps.value.find((s) => s.step === chosen.value)?.done,
    (isDoneNow, wasDone) => {
      // Closed up with all that is owed there: only the name is missing, also where other points were never looked at.
      if (isDoneNow && wasDone === false)
        chosen.value = chosen.value === 'closeUp' && view()?.refusals.length === 0 ? 'sign' : null
    },
  )

  function go(to: Step) {
    pickedPoint.value = null
    resetting.value = false
    chosen.value = to === guided.value ? null : to
  }
  function pick(label: string) {
    chosen.value = null
    resetting.value = false
    pickedPoint.value = label
  }
  function leadOn() {
    chosen.value = null
  }
  return { list, closed, steps, step, stop, current, pickedPoint, resetting, go, pick, leadOn }
}
