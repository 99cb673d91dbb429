import { computed, ref, watch } from 'vue'
import type { Entry } from '../../../offline/entries'
import type { Draft, Point, Sheet, Stage, Trial, Trouble } from './useVisit'

export interface Measuring {
  sheet: Sheet
  point: Point
  setting: boolean
  trouble: Trouble | null
  draftOf: (point: Point, stage: Stage) => Draft | null
  readingFor: (point: Point, stage: Stage) => string
}

/** One reading being made at a point: what was tried and typed, what the server makes of it, and when it may be kept. */
export function useMeasuring(props: Measuring, say: (...entries: Entry[]) => void) {
  const stage = computed<Stage>(() => (props.setting || props.point.left ? 'asLeft' : 'asFound'))
  const draft = computed(() => props.draftOf(props.point, stage.value))
  const onServer = computed(() => (stage.value === 'asFound' ? props.point.foundDraft : props.point.leftDraft))
  const typed = ref('')
  const unit = ref(props.sheet.trayUnit)
  const why = ref('')
  const leaving = ref(false)
  const unproved = ref(false)
  // Only another point or stage begins anew; news from the server never touches what is typed.
  watch(
    () => `${props.point.label}/${stage.value}`,
    () => {
      typed.value = draft.value?.figure ?? ''
      unit.value = draft.value?.unit ?? props.sheet.trayUnit
      why.value = ''
      leaving.value = false
      unproved.value = false
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
  const offer = computed(() => onServer.value?.offerUnit)
  const doubtful = computed(() => refusal.value?.code === 'figureDoubtful')
  const complaint = computed(() => {
    const now = onServer.value
    if (offer.value && now)
      return `${now.written} ${now.unit} is far from the window. Did you mean ${now.written} ${offer.value}?`
    return now?.complaint ?? refusal.value?.message ?? null
  })
  /** Left out of its window, or undecided: the record says why. */
  const needsWhy = computed(
    () => props.setting && !!onServer.value && !!onServer.value.action && onServer.value.state !== 'inWindow',
  )
  const ready = computed(
    () =>
      draft.value !== null &&
      onServer.value !== null &&
      !onServer.value?.complaint &&
      (draft.value.trials.length > 0 || draft.value.figure !== '') &&
      (!needsWhy.value || why.value.trim() !== ''),
  )

  const about = () => ({
    reading: props.readingFor(props.point, stage.value),
    point: props.point.label,
    stage: stage.value,
    ...(unproved.value ? { unproved: true } : {}),
  })
  function tried(trial: Trial) {
    const before = draft.value
    const taken: Entry[] = before?.figureEntry ? [{ kind: 'undone', entry: before.figureEntry }] : []
    typed.value = ''
    say(...taken, { kind: 'tried', ...about(), blades: trial.blades, unit: props.sheet.trayUnit, feel: trial.feel })
  }
  function figure() {
    if (typed.value.trim())
      say({ kind: 'figureRead', ...about(), figure: typed.value.trim(), unit: unit.value, with: 'figure' })
  }
  function otherUnit() {
    unit.value = offer.value ?? unit.value
    figure()
  }
  function takeBack() {
    const last = draft.value?.figureEntry ?? draft.value?.trials.at(-1)?.entry
    typed.value = ''
    if (last) say({ kind: 'undone', entry: last })
  }
  function keep(sure = false) {
    if (!draft.value || !ready.value) return
    const outcome: Entry[] = needsWhy.value
      ? [{ kind: 'outcome', point: props.point.label, outcome: 'leftSo', why: why.value.trim() }]
      : props.setting
        ? [{ kind: 'outcome', point: props.point.label, outcome: 'set' }]
        : []
    say({ kind: 'kept', reading: draft.value.reading, sure: sure || needsWhy.value }, ...outcome)
  }
  function leaveSo() {
    if (why.value.trim()) say({ kind: 'outcome', point: props.point.label, outcome: 'leftSo', why: why.value.trim() })
  }
  return {
    stage,
    draft,
    onServer,
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
    tried,
    figure,
    otherUnit,
    takeBack,
    keep,
    leaveSo,
  }
}
