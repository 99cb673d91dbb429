import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../../api/client'
import type { Sheet, SheetStep, Visit } from './useVisit'

/** The steps of a visit: lists and the condition by name, stops by number. */
export type Step = Exclude<Schemas['CoursePart'], 'stop'> | number

/** A step that is a list to tick, or the condition to state. */
export type ListedStep = Exclude<Step, number | 'sign'>
export const isList = (step: Step): step is ListedStep => typeof step !== 'number' && step !== 'sign'

const partNames: Record<Exclude<Schemas['CoursePart'], 'stop' | 'condition'>, string> = {
  makeSafe: 'Make safe',
  covers: 'Open up',
  first: 'First',
  closeUp: 'Close up',
  sign: 'Sign',
}

/** Where the lines of a list are ticked; those of a point are ticked at the point. */
export function stepOfList(list: Schemas['StepList']): Step {
  if (list === 'makeSafe' || list === 'covers') return list
  return list === 'stop' ? 'first' : list === 'kit' ? 'makeSafe' : 'closeUp'
}

/** Where the bench stands in its visit: the guide's next task, unless somebody chose a step or a point of their own. */
export function useSteps(view: () => Visit | null, sheet: () => Sheet | null) {
  const chosen = ref<Step | null>(null)
  const pickedPoint = ref<string | null>(null)
  /** A finished point that is set all the same. */
  const resetting = ref(false)

  /** The lines of a list as this visit asks or offers them. */
  const list = (which: Schemas['StepList']): SheetStep[] =>
    sheet()?.steps.filter((s) => s.list === which && !s.point) ?? []
  const closed = computed(() => view()?.state !== 'open')
  const stopOf = (label?: string | null) => sheet()?.points.find((p) => p.label === label)?.stopIndex
  const asStep = (part: Schemas['CoursePart'], stop?: number | null): Step => (part === 'stop' ? (stop ?? 0) : part)

  function textOf(part: Schemas['CoursePart'], stop: number | null | undefined, s: Sheet): string {
    if (part === 'condition') return s.condition === 'cold' ? 'Cold' : 'Hot'
    if (part !== 'stop') return partNames[part]
    if (s.byEye) return 'Valves'
    return s.stops.length > 2 && stop! > 0 ? `${stop! + 1}` : `Stop ${stop! + 1}`
  }
  const steps = computed(() => {
    const s = sheet()
    return (s?.course ?? []).map(({ part, stop, done }) => ({
      // Where the eye is on the valves one step stands for all of them: the valve at hand stands for it.
      step: part === 'stop' && s!.byEye && typeof step.value === 'number' ? step.value : asStep(part, stop),
      text: textOf(part, stop, s!),
      done,
    }))
  })
  const guided = computed<Step>(() => {
    const s = sheet()
    return s ? asStep(s.at, s.atStop) : 'sign'
  })
  const step = computed<Step>(() => {
    if (closed.value) return chosen.value ?? 'sign'
    if (pickedPoint.value) return stopOf(pickedPoint.value) ?? 0
    return chosen.value ?? guided.value
  })
  const stop = computed(() => (typeof step.value === 'number' ? sheet()?.stops[step.value] : undefined))
  const current = computed(() => {
    const label = pickedPoint.value ?? stop.value?.at ?? stop.value?.points[0]
    return stop.value && sheet()?.points.find((p) => p.label === label)
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
  /** The picked point where something is left to do: the guide goes on with it, on every device. */
  const pickedUndone = computed(() =>
    !closed.value && sheet()?.points.some((p) => p.label === pickedPoint.value && !p.done) ? pickedPoint.value : null,
  )
  /** The covers have just come off, and its type has no list of its own to ask then. */
  const opening = computed(
    () =>
      typeof step.value === 'number' &&
      !closed.value &&
      !list('covers').length &&
      sheet()!.points.every((p) => !p.found && !p.foundDraft && !p.left && !p.start),
  )
  function leadOn() {
    chosen.value = null
  }
  return { list, closed, steps, step, stop, current, pickedPoint, pickedUndone, resetting, opening, go, pick, leadOn }
}
