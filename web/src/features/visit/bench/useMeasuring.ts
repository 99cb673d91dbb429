import { computed, onScopeDispose, ref, watch } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'
import { usePreferences } from '../../../shared/preferences'
import type { Draft, Point, Sheet, Stage, Trial, Trouble } from './useVisit'

export interface Measuring {
  visitId: string
  sheet: Sheet
  point: Point
  /** A finished point is set all the same. */
  resetting: boolean
  /** What an earlier visit found is measured anew. */
  anew?: boolean
  trouble: Trouble | null
  draftOf: (point: Point, stage: Stage) => Draft | null
  readingFor: (point: Point, stage: Stage) => string
  /** What is seen proves the point by itself, where the eye is on one valve at a time. */
  seen?: { points: string[]; said: string } | null
}

/** What is measured at a point now: the sheet's stage, unless it is found anew or set though it is done. */
export const stageAt = (point: Point, resetting: boolean, anew = false): Stage =>
  anew ? 'asFound' : resetting ? point.stageIfSet : (point.stage ?? point.stageIfSet)

/** How long a clear verdict stands before it keeps itself, ms. */
export const keepsItselfAfter = 2000

/** One reading being made at a point: what was tried and typed, what the core makes of it, and when it may be kept. */
export function useMeasuring(props: Measuring, say: (...entries: Entry[]) => void) {
  const preferences = usePreferences()
  const stage = computed(() => stageAt(props.point, props.resetting, props.anew))
  const draft = computed(() => props.draftOf(props.point, stage.value))
  const growing = computed(() =>
    stage.value === 'asFound'
      ? props.point.foundDraft
      : stage.value === 'beforeLock'
        ? props.point.beforeLockDraft
        : props.point.leftDraft,
  )
  const onDial = computed(() => props.sheet.measuring === 'dial')
  const typed = ref('')
  const unit = ref(props.sheet.trayUnit)
  const slot = computed(() => `${props.point.label}/${stage.value}`)
  /** Reasons half typed, each of its point and stage: they survive a reload. */
  const { typed: reasons } = useTyped<Record<string, string>>(`why:${props.visitId}`, {})
  const why = computed({
    get: () => reasons[slot.value] ?? '',
    set: (text) => (reasons[slot.value] = text),
  })
  const leaving = ref(false)
  const unproved = ref(false)
  /** The last thing tapped here was a try: only then a verdict may keep itself. */
  const fresh = ref(false)
  // Only another point or stage begins anew; news from the server never touches what is typed.
  watch(
    slot,
    () => {
      typed.value = draft.value?.figure ?? ''
      unit.value = draft.value?.unit ?? props.sheet.trayUnit
      leaving.value = false
      unproved.value = false
      fresh.value = false
    },
    { immediate: true },
  )
  /** A refusal of something said about this reading. */
  const refusal = computed(() => {
    const t = props.trouble
    if (!t || !['tried', 'figureRead', 'kept'].includes(t.entry.kind)) return null
    const isHere =
      'point' in t.entry
        ? t.entry.point === props.point.label
        : draft.value?.reading === (t.entry as { reading: string }).reading
    return isHere ? t.refusal : null
  })
  const offer = computed(() => growing.value?.offerUnit)
  const doubtful = computed(() => !!growing.value?.surprise || refusal.value?.code === 'figureDoubtful')
  const complaint = computed(() => {
    const now = growing.value
    if (offer.value && now)
      return `${now.written} ${now.unit} is far from the window. Did you mean ${now.written} ${offer.value}?`
    return now?.complaint ?? now?.surprise ?? refusal.value?.message ?? null
  })
  /** Left out of its window, or undecided: the record says why. */
  const needsWhy = computed(() => !!growing.value?.owesWhy)
  const ready = computed(
    () =>
      draft.value !== null &&
      growing.value != null &&
      !growing.value.complaint &&
      (draft.value.trials.length > 0 || draft.value.figure !== '') &&
      (!needsWhy.value || why.value.trim() !== ''),
  )
  /** Decided, and nothing that a mechanic would look at twice. */
  const clear = computed(
    () => !!growing.value?.keepsItself && ready.value && !complaint.value && !needsWhy.value && !leaving.value,
  )
  const keepsItself = computed(() => preferences.keepsItself && fresh.value && clear.value)
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(keepsItself, (now) => {
    clearTimeout(timer)
    if (now) timer = setTimeout(() => keep(), keepsItselfAfter)
  })
  onScopeDispose(() => clearTimeout(timer))

  // Whether the nut is loose or tight decides what a figure is: what is tapped before the sheet shows the turn waits for it.
  let turning: ReturnType<typeof setTimeout> | undefined
  let waits: (() => void)[] = []
  function shown() {
    clearTimeout(turning)
    turning = undefined
    const waited = waits
    waits = []
    waited.forEach((act) => act())
  }
  watch(() => props.point, shown)
  onScopeDispose(shown)
  const afterTurning = (act: () => void) => (turning === undefined ? act() : void waits.push(act))

  const about = () => ({
    reading: props.readingFor(props.point, stage.value),
    point: props.point.label,
    stage: stage.value,
    ...(unproved.value ? { unproved: true } : {}),
  })
  /** What must be said before the first try: that the valve was seen to be free. */
  const proof = (): Entry[] => (props.seen ? [{ kind: 'positionProved', ...props.seen }] : [])
  function tried(...trials: Trial[]) {
    if (trials.length > 0) afterTurning(() => tell(trials))
  }
  function tell(trials: Trial[]) {
    const before = draft.value
    const taken: Entry[] = before?.figureEntry ? [{ kind: 'undone', entry: before.figureEntry }] : []
    typed.value = ''
    fresh.value = true
    const told = about()
    say(
      ...taken,
      ...proof(),
      ...trials.map((t) => ({
        kind: 'tried' as const,
        ...told,
        blades: t.blades,
        unit: props.sheet.trayUnit,
        feel: t.feel,
        ...(props.sheet.traySet ? { bladeSet: props.sheet.traySet } : {}),
      })),
    )
  }
  const figure = () => afterTurning(read)
  function read() {
    if (!typed.value.trim()) return
    fresh.value = false
    say(...proof(), {
      kind: 'figureRead',
      ...about(),
      figure: typed.value.trim(),
      unit: unit.value,
      with: onDial.value ? 'dial' : 'figure',
    })
  }
  function otherUnit() {
    unit.value = offer.value ?? unit.value
    figure()
  }
  function takeBack(entry?: string) {
    const last = entry ?? draft.value?.figureEntry ?? draft.value?.trials.at(-1)?.entry
    typed.value = ''
    fresh.value = false
    if (last) say({ kind: 'undone', entry: last })
  }
  function keep(sure = false) {
    if (!draft.value || !ready.value || turning !== undefined) return
    fresh.value = false
    const becomes = growing.value?.onKeeping
    const outcome: Entry[] = becomes
      ? [
          {
            kind: 'outcome',
            point: props.point.label,
            outcome: becomes,
            ...(needsWhy.value ? { why: why.value.trim() } : {}),
          },
        ]
      : []
    say({ kind: 'kept', reading: draft.value.reading, sure: sure || needsWhy.value }, ...outcome)
    delete reasons[slot.value]
  }
  /** The adjuster was turned: what was read before is no longer how it stands. */
  function turned(nut?: 'loose' | 'tight') {
    fresh.value = false
    say({ kind: 'turned', point: props.point.label, ...(nut ? { nut } : {}) })
    // A sheet that cannot be worked out holds nothing up for long.
    turning = setTimeout(shown, 3000)
  }
  function leaveSo() {
    if (!why.value.trim()) return
    say({ kind: 'outcome', point: props.point.label, outcome: 'leftSo', why: why.value.trim() })
    delete reasons[slot.value]
  }
  return {
    stage,
    draft,
    growing,
    onDial,
    typed,
    unit,
    why,
    leaving,
    unproved,
    offer,
    doubtful,
    complaint,
    needsWhy,
    ready,
    keepsItself,
    tried,
    figure,
    otherUnit,
    takeBack,
    keep,
    leaveSo,
    turned,
  }
}
