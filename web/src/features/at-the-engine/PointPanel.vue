<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, nextTick, ref, watch } from 'vue'
import Field from '../../app/Field.vue'
import { hours, useFigures } from '../../app/figures'
import { isTyping, useKeys } from '../../app/keys'
import type { Entry } from '../../offline/entries'
import GapStrip from '../../instruments/GapStrip.vue'
import VerdictMark from '../../instruments/VerdictMark.vue'
import AmountPanel from './AmountPanel.vue'
import BladeTray from './BladeTray.vue'
import { readingText, spoken, stateWords } from './pointWords'
import type { Draft, Point, Sheet, Stage, Trial, Trouble } from './useVisit'

const props = defineProps<{
  sheet: Sheet
  point: Point
  proved: boolean
  closed: boolean
  trouble: Trouble | null
  draftOf: (point: Point, stage: Stage) => Draft | null
  readingFor: (point: Point, stage: Stage) => string
  resetting: boolean
}>()
const emit = defineEmits<{ say: [...entries: Entry[]]; correct: []; reset: []; prove: [] }>()
const figures = useFigures()

const setting = computed(() => props.point.found !== null && (!props.point.done || props.resetting))
const stage = computed<Stage>(() => (setting.value || props.point.left ? 'asLeft' : 'asFound'))
const finished = computed(() => props.point.done && !props.resetting)
const draft = computed(() => props.draftOf(props.point, stage.value))
const onServer = computed(() => (stage.value === 'asFound' ? props.point.foundDraft : props.point.leftDraft))
/** A refusal of something said about this point. */
const refusal = computed(() => {
  const t = props.trouble
  if (!t || !['tried', 'figureRead', 'kept'].includes(t.entry.kind)) return null
  return (
    'point' in t.entry
      ? t.entry.point === props.point.label
      : draft.value?.reading === (t.entry as { reading: string }).reading
  )
    ? t.refusal
    : null
})
const offer = computed(() => onServer.value?.offerUnit)
const complaint = computed(() => {
  if (offer.value && onServer.value)
    return `${onServer.value.written} ${onServer.value.unit} is far from the window. Did you mean ${onServer.value.written} ${offer.value}?`
  if (onServer.value?.complaint) return onServer.value.complaint
  return refusal.value?.message ?? null
})
const doubtful = computed(() => refusal.value?.code === 'figureDoubtful')
const unproved = ref(false)
const typed = ref('')
const unit = ref(props.sheet.trayUnit)
const why = ref('')
const leaving = ref(false)
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
  emit('say', ...taken, {
    kind: 'tried',
    ...about(),
    blades: trial.blades,
    unit: props.sheet.trayUnit,
    feel: trial.feel,
  })
}
function figure() {
  if (!typed.value.trim()) return
  emit('say', { kind: 'figureRead', ...about(), figure: typed.value.trim(), unit: unit.value, with: 'figure' })
}
function otherUnit() {
  unit.value = offer.value ?? unit.value
  figure()
}
function takeBack() {
  const now = draft.value
  const last = now?.figureEntry ?? now?.trials.at(-1)?.entry
  typed.value = ''
  if (last) emit('say', { kind: 'undone', entry: last })
}
/** Left out of its window, or undecided: the record says why. */
const needsWhy = computed(
  () => setting.value && !!onServer.value && !!onServer.value.action && onServer.value.state !== 'inWindow',
)
const ready = computed(
  () =>
    draft.value !== null &&
    onServer.value !== null &&
    !onServer.value?.complaint &&
    (draft.value.trials.length > 0 || draft.value.figure !== '') &&
    (!needsWhy.value || why.value.trim() !== ''),
)
function keep(sure = false) {
  if (!draft.value || !ready.value) return
  const reason: Entry[] = needsWhy.value
    ? [{ kind: 'outcome', point: props.point.label, outcome: 'leftSo', why: why.value.trim() }]
    : setting.value
      ? [{ kind: 'outcome', point: props.point.label, outcome: 'set' }]
      : []
  emit('say', { kind: 'kept', reading: draft.value.reading, sure: sure || needsWhy.value }, ...reason)
}
function leaveSo() {
  if (why.value.trim())
    emit('say', { kind: 'outcome', point: props.point.label, outcome: 'leftSo', why: why.value.trim() })
}
const reading = computed(() => onServer.value ?? (setting.value ? null : props.point.found))
const nowText = computed(() => readingText(onServer.value, figures.figure))
const window_ = computed(() =>
  props.point.minMm != null
    ? `window ${figures.figure(props.point.minMm)} – ${figures.figure(props.point.maxMm)}${props.point.fleetTolerance ? ' (fleet’s tolerance)' : ''}, set ${figures.withUnit(props.point.setMm)} ${props.sheet.condition}`
    : props.point.byAmount
      ? (props.point.specWritten ?? 'set by the book')
      : 'no figure in the book: measured, not judged',
)
const expected = computed(() =>
  props.point.beforeMm != null
    ? ` · last left ${figures.rough(props.point.beforeMm)} at ${hours(props.point.beforeHours ?? 0)} h${props.point.expectedMm != null ? ` · expected ${figures.rough(props.point.expectedMm)}` : ''}`
    : ' · never measured before',
)
const moved = computed(() => {
  const f = props.point.found
  if (!f || f.estimateMm == null || props.point.beforeMm == null) return ''
  const by = f.estimateMm - props.point.beforeMm
  const should = props.point.expectedMm != null ? props.point.expectedMm - props.point.beforeMm : null
  if (Math.abs(by) < 0.002) return 'As it was left last time.'
  return `${by < 0 ? 'Closed up' : 'Opened'} ${figures.rough(Math.abs(by))} since last time${should !== null ? `; ${figures.rough(Math.abs(should))} was expected` : ''}.`
})
const near = computed<[number, number]>(() => [props.point.minMm ?? 0.2, props.point.maxMm ?? 0.4])

useKeys([], (event) => {
  if (event.key === 'Enter' && !isTyping(event) && (event.target as HTMLElement).tagName !== 'BUTTON') {
    keep(doubtful.value)
  } else if (event.key === 'Backspace' && !isTyping(event)) {
    takeBack()
  } else if (/^[0-9]$/.test(event.key) && !isTyping(event) && !finished.value) {
    event.preventDefault()
    typed.value += event.key
    void nextTick(() => document.getElementById('typed')?.focus())
  }
})
</script>

<template>
  <section class="panel">
    <div class="d-flex justify-content-between align-items-start">
      <h1 class="name">{{ spoken(point) }}</h1>
      <span class="caps pt-2">{{ finished ? 'done' : setting ? 'set, then measure again' : 'measure as found' }}</span>
    </div>
    <p class="small mb-2">
      {{ window_ }}<span class="soft">{{ expected }}</span>
    </p>
    <GapStrip
      v-if="point.minMm != null"
      tall
      :min="point.minMm"
      :max="point.maxMm"
      :set="point.setMm"
      :found="point.found?.estimateMm ?? (setting ? null : onServer?.estimateMm)"
      :lower="point.found?.lowerMm ?? (setting ? null : onServer?.lowerMm)"
      :upper="point.found?.upperMm ?? (setting ? null : onServer?.upperMm)"
      :left="setting ? (onServer?.estimateMm ?? null) : (point.left?.estimateMm ?? null)"
      :expected="point.expectedMm"
      :state="(setting && onServer ? onServer.state : reading?.state) ?? null"
      :label="spoken(point)"
    />

    <div v-if="point.found && point.minMm != null" class="found" :class="`is-${point.found.state}`">
      <p class="verdict">
        <VerdictMark :state="point.found.state" :size="26" /> Found {{ stateWords[point.found.state ?? 'inWindow'] }}:
        {{ readingText(point.found, figures.figure) }}.
      </p>
      <p class="small soft mb-1">
        {{ moved }}
        <template v-if="point.corrected.length"
          >Corrected; before:
          {{ point.corrected.map((c) => readingText(c.before, figures.figure)).join(', ') }}.</template
        >
      </p>
    </div>

    <template v-if="finished">
      <p v-if="point.left" class="verdict mt-2">
        <VerdictMark :state="point.left.state" :size="26" /> Left: {{ readingText(point.left, figures.figure) }},
        measured after locking.
      </p>
      <p v-if="point.outcome === 'leftSo'" class="mt-2"><strong>Left so on purpose.</strong> {{ point.why }}</p>
      <p v-else-if="point.outcome === 'byTheBook'" class="mt-2"><strong>Set by the book’s amount.</strong></p>
      <p v-else-if="point.outcome === 'notReached' || point.outcome === 'awaiting'" class="mt-2">
        <strong>{{ point.outcome === 'awaiting' ? 'Waits for a part.' : 'Not reached.' }}</strong> {{ point.why }}
      </p>
      <p v-else-if="!point.left && point.minMm == null" class="mt-2">
        <strong>Not judged:</strong> the book gives no figure for it.
      </p>
      <p v-else-if="!point.left" class="mt-2">
        <strong>In the window: leave it alone.</strong> The one reading serves as found and as left.
      </p>
      <p v-if="point.hoursToRiskFromHere != null" class="small soft">
        Left here, this valve’s share of the engine’s risk is used up after about
        {{ hours(point.hoursToRiskFromHere) }} h.
      </p>
      <div class="d-flex gap-2 flex-wrap">
        <BButton v-if="closed" class="btn-plain" @click="emit('correct')">Correct a figure</BButton>
        <BButton
          v-if="!point.left && !closed && point.found && point.minMm != null"
          class="btn-plain"
          @click="emit('reset')"
          >Set it all the same</BButton
        >
      </div>
    </template>

    <AmountPanel v-else-if="point.byAmount" :point="point" @say="(...entries) => emit('say', ...entries)" />

    <template v-else>
      <div v-if="setting" class="advice">
        <p class="verdict">{{ point.advice?.sentence ?? 'Set it to the figure.' }}</p>
        <p class="small soft mb-1">
          Then lock, and measure again.
          <template v-if="point.aimOffMm != null"
            >This valve lasts about {{ hours(point.aimOffHours ?? 0) }} h longer if left at
            {{ figures.withUnit(point.aimOffMm) }}; the book says {{ figures.figure(point.setMm) }}.</template
          >
        </p>
      </div>
      <p v-if="!proved && !unproved" class="complaint">
        The stop of {{ spoken(point) }} is not proved.
        <BButton class="btn-plain ms-2" @click="emit('prove')">Find the stop</BButton>
        <BButton class="btn-plain ms-2" @click="unproved = true">Measure without proof</BButton>
      </p>
      <p v-else-if="unproved" class="small soft mb-1">Measured without proof of the position; the record says so.</p>
      <p class="ask">
        {{ setting ? 'Locked? Measure again: which blade, how did it feel?' : 'Which blade, how did it feel?' }}
      </p>
      <BladeTray
        :blades="sheet.tray"
        :unit="sheet.trayUnit"
        :trials="draft?.trials ?? []"
        :near="near"
        :suggest="onServer?.nextBlade?.blades"
        @tried="tried"
      />
      <form class="typed" @submit.prevent="figure()">
        <label for="typed" class="small soft">or type a figure</label>
        <BFormInput
          id="typed"
          v-model="typed"
          inputmode="decimal"
          autocomplete="off"
          @keydown.enter.prevent="onServer && draft?.figure === typed.trim() ? keep(doubtful) : figure()"
        />
        <select v-model="unit" class="form-select" aria-label="Unit">
          <option>mm</option>
          <option>thou</option>
        </select>
        <BButton class="btn-plain" type="submit" :disabled="!typed.trim()">Read</BButton>
      </form>

      <div v-if="complaint" class="complaint mt-2" role="alert">
        {{ complaint }}
        <BButton v-if="offer" class="btn-plain ms-2" @click="otherUnit">Yes, {{ typed }} {{ offer }}</BButton>
        <BButton v-if="doubtful" class="btn-plain ms-2" @click="keep(true)">It is so: keep it</BButton>
      </div>
      <p v-if="onServer && nowText" class="verdict mt-2" :class="`is-${onServer.state}`" aria-live="polite">
        <VerdictMark :state="onServer.state" :size="26" />
        <template v-if="onServer.onFigure">On the figure: {{ nowText }}.</template>
        <template v-else-if="onServer.state"
          >{{ { tight: 'Tight', loose: 'Loose', inWindow: 'In window', borderline: 'Borderline' }[onServer.state] }}:
          {{ nowText }}.</template
        >
        <template v-else>Reads {{ nowText }}.</template>
        <span v-if="onServer.action === 'measureOn' && onServer.nextBlade" class="small"
          >Next: the {{ onServer.nextBlade.blades.join(' + ') }} blade.</span
        >
        <span v-else-if="onServer.action === 'yours'" class="small"
          >No blade of this tray tells more: yours to decide.</span
        >
      </p>
      <Field
        v-if="needsWhy || leaving"
        v-slot="{ id }"
        class="mt-2"
        label="Why is it left so?"
        :complaint="
          needsWhy && !why.trim()
            ? 'It is not surely in the window. Set it again, or say why it is left so.'
            : undefined
        "
      >
        <BFormInput :id="id" v-model="why" />
      </Field>
      <div class="actions">
        <BButton class="btn-act keep" :disabled="!ready" @click="keep(doubtful)"
          >Keep {{ nowText || '…' }} as {{ setting ? 'left' : 'found' }}</BButton
        >
        <BButton class="btn-plain" :disabled="!draft" @click="takeBack">Take back</BButton>
        <BButton v-if="setting && !leaving && !draft && !resetting" class="btn-plain" @click="leaving = true"
          >Leave as found…</BButton
        >
        <BButton v-if="leaving && !draft" class="btn-plain" :disabled="!why.trim()" @click="leaveSo"
          >Leave as found</BButton
        >
      </div>
    </template>
  </section>
</template>

<style scoped>
.name {
  font-size: 2.3rem;
  line-height: 1.1;
}
.verdict {
  font-size: 1.35rem;
  font-weight: 700;
  margin: 0.1rem 0;
  display: flex;
  gap: 0.6rem;
  align-items: center;
  flex-wrap: wrap;
}
.found {
  margin-top: 0.4rem;
}
.advice {
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
}
.ask {
  font-weight: 700;
  font-size: 1.1rem;
  margin: 0.5rem 0 0.4rem;
}
.typed {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  margin-top: 0.5rem;
}
.typed input {
  width: 110px;
  font-family: var(--mono);
}
.typed select {
  width: 90px;
}
.actions {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.7rem;
}
.keep {
  flex: 1;
  min-height: 56px;
  font-size: 1.1rem;
}
.actions .btn-plain {
  min-width: 130px;
}
</style>
