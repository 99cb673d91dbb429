import { computed, ref } from 'vue'
import { stageAt } from './useMeasuring'
import type { Point, Sheet } from './useVisit'

/** What is done at a point now, and what is shown of it: from what the sheet says of it, and whether it is measured or set anew. */
export function usePointTask(props: {
  sheet: Sheet
  point: Point
  proved: boolean
  closed: boolean
  resetting: boolean
}) {
  /** What an earlier visit found is measured anew before anything is changed. */
  const anew = ref(false)
  /** It is being set: its found figure is known, or none is owed. */
  const setting = computed(() => (props.point.setting || props.resetting) && !foundAnew.value)
  /** Something was set already and is not right yet. */
  const underWay = computed(
    () => setting.value && !!(props.point.attempts.length || props.point.beforeLock || props.point.leftDraft),
  )
  /** Measured as left; only a look at what was fitted is owed. */
  const looksOnly = computed(() => !props.point.done && !props.point.stage && !props.resetting && !props.point.byAmount)
  /** Measured anew, though an earlier visit found it. */
  const foundAnew = computed(() => anew.value && !!props.point.foundBefore)
  const stage = computed(() => stageAt(props.point, props.resetting, foundAnew.value))
  const finished = computed(() => props.point.done && !props.resetting)
  const shown = computed(() =>
    setting.value || props.point.left
      ? (props.point.leftDraft ?? props.point.beforeLockDraft ?? props.point.beforeLock)
      : props.point.foundDraft,
  )
  const state = computed(() => (setting.value ? shown.value?.state : (shown.value ?? props.point.found)?.state) ?? null)
  /** What is seen proves the valve by itself. */
  const seen = computed(() => {
    if (!props.sheet.byEye || props.proved || props.closed) return null
    const said =
      props.sheet.method === 'lobeAway' ? 'lobe away' : (props.sheet.stops[props.point.stopIndex]?.sign ?? '')
    const twins = props.sheet.points.filter((p) => p.cylinder === props.point.cylinder && p.kind === props.point.kind)
    return { points: twins.map((p) => p.label), said }
  })
  /** A shim that is to be changed is changed first; only then there is something to measure. */
  const changesShim = computed(
    () =>
      !!props.point.shim &&
      setting.value &&
      !!(props.point.found || props.point.foundBefore || props.point.beforeLock) &&
      !props.point.shim.fitted &&
      !props.point.leftDraft,
  )
  /** What is done at it now, in two or three words. */
  const task = computed(() =>
    finished.value
      ? 'done'
      : looksOnly.value
        ? 'one look is left'
        : props.point.byAmount
          ? 'by the book’s amount'
          : setting.value
            ? 'set, then measure again'
            : 'measure as found',
  )
  return { anew, foundAnew, setting, underWay, looksOnly, stage, finished, shown, state, seen, changesShim, task }
}
