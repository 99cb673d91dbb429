<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, nextTick, ref, watch } from 'vue'
import Field from '../../app/Field.vue'
import { hours, useFigures } from '../../app/figures'
import { isTyping, useKeys } from '../../app/keys'
import { newId } from '../../api/newId'
import GapStrip from '../../instruments/GapStrip.vue'
import VerdictMark from '../../instruments/VerdictMark.vue'
import BladeTray from './BladeTray.vue'
import { readingText, spoken, stateWords } from './pointWords'
import type { Draft, Overhead, Point, Trial, Trouble } from './useOverhead'

const props = defineProps<{
  view: Overhead
  point: Point
  trouble: Trouble | null
  draftOf: (point: Point, stage: Draft['stage']) => Draft | null
  resetting: boolean
}>()
const emit = defineEmits<{
  measure: [draft: Draft, more: { keep?: boolean; why?: string; sure?: boolean; byTheBook?: boolean }]
  discard: [draft: Draft]
  correct: []
  reset: []
}>()
const figures = useFigures()

const setting = computed(() => props.point.found !== null && (!props.point.done || props.resetting))
const stage = computed<Draft['stage']>(() => (setting.value ? 'asLeft' : 'asFound'))
const finished = computed(() => props.point.done && !props.resetting)
const draft = computed(() => props.draftOf(props.point, stage.value))
const onServer = computed(() => (stage.value === 'asFound' ? props.point.foundDraft : props.point.leftDraft))
const mine = computed(
  () => props.trouble?.entry.readingId !== undefined && props.trouble.entry.readingId === draft.value?.readingId,
)
const refusal = computed(() => (mine.value ? props.trouble!.refusal : null))
const complaint = computed(() =>
  refusal.value && refusal.value.status === 400 && !refusal.value.for('why') ? refusal.value.message : null,
)
const offer = computed(() => refusal.value?.body.offerUnit as string | undefined)
const canBeSure = computed(() => refusal.value?.for('figure') !== undefined && refusal.value.message.includes('sure'))
const needsWhy = computed(() => refusal.value?.for('why'))
const typed = ref('')
const unit = ref(props.view.trayUnit)
const why = ref('')
const leaving = ref(false)
watch(
  () => [props.point.id, stage.value],
  () => {
    typed.value = draft.value?.figure ?? ''
    unit.value = draft.value?.unit ?? props.view.trayUnit
    why.value = ''
    leaving.value = false
  },
  { immediate: true },
)

const base = (): Draft => ({
  readingId: draft.value?.readingId ?? newId(),
  pointId: props.point.id,
  stage: stage.value,
  trials: draft.value?.trials ?? [],
  figure: '',
  unit: props.view.trayUnit,
})
function tried(trial: Trial) {
  typed.value = ''
  emit('measure', { ...base(), trials: [...(draft.value?.figure ? [] : (draft.value?.trials ?? [])), trial] }, {})
}
function figure(sure = false) {
  if (!typed.value.trim()) return
  emit('measure', { ...base(), trials: [], figure: typed.value.trim(), unit: unit.value }, { sure })
}
function otherUnit() {
  unit.value = offer.value ?? unit.value
  figure()
}
function takeBack() {
  const now = draft.value
  if (!now) return
  typed.value = ''
  if (now.trials.length > 1) emit('measure', { ...now, trials: now.trials.slice(0, -1) }, {})
  else emit('discard', now)
}
const ready = computed(
  () =>
    draft.value !== null &&
    onServer.value !== null &&
    !complaint.value &&
    (draft.value.trials.length > 0 || draft.value.figure !== ''),
)
function keep() {
  if (!draft.value || !ready.value) return
  emit('measure', draft.value, { keep: true, why: why.value.trim() || undefined, sure: true })
}
function leaveSo() {
  if (!why.value.trim()) return
  emit('measure', { ...base(), trials: [], figure: '' }, { keep: true, why: why.value.trim() })
}
const reading = computed(() => onServer.value ?? (setting.value ? null : props.point.found))
const nowText = computed(() => readingText(onServer.value, figures.figure))
const window_ = computed(() =>
  props.point.minMm != null
    ? `window ${figures.figure(props.point.minMm)} – ${figures.figure(props.point.maxMm)}${props.point.fleetTolerance ? ' (fleet’s tolerance)' : ''}, set ${figures.withUnit(props.point.setMm)} ${props.view.condition}`
    : 'set by the book',
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
    keep()
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
      :left="setting ? (onServer?.estimateMm ?? null) : point.left?.estimateMm"
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
          >Corrected; before: {{ point.corrected.map((c) => readingText(c, figures.figure)).join(', ') }}.</template
        >
      </p>
    </div>

    <template v-if="finished">
      <p v-if="point.left && !point.left.why" class="verdict mt-2">
        <VerdictMark :state="point.left.state" :size="26" /> Left: {{ readingText(point.left, figures.figure) }},
        measured after locking.
      </p>
      <p v-else-if="point.left?.why" class="mt-2"><strong>Left so on purpose.</strong> {{ point.left.why }}</p>
      <p v-else class="mt-2">
        <strong>In the window: leave it alone.</strong> The one reading serves as found and as left.
      </p>
      <p v-if="point.hoursToRiskFromHere != null" class="small soft">
        Left here, one chance in twenty of being out after about {{ hours(point.hoursToRiskFromHere) }} h.
      </p>
      <div class="d-flex gap-2 flex-wrap">
        <BButton class="btn-plain" @click="emit('correct')">Correct a figure</BButton>
        <BButton v-if="!point.left && !view.signedAt" class="btn-plain" @click="emit('reset')"
          >Set it all the same</BButton
        >
      </div>
    </template>

    <template v-else-if="point.minMm == null">
      <p class="mt-3">
        The book sets this point by an amount, not by a gap. Do it as the manual says, then tick it off.
      </p>
      <BButton class="btn-act" @click="emit('measure', { ...base(), stage: 'asLeft' }, { keep: true, byTheBook: true })"
        >Set by the book</BButton
      >
    </template>

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
      <p class="ask">
        {{ setting ? 'Locked? Measure again: which blade, how did it feel?' : 'Which blade, how did it feel?' }}
      </p>
      <BladeTray
        :blades="view.tray"
        :unit="view.trayUnit"
        :trials="draft?.trials ?? []"
        :near="near"
        :suggest="onServer?.nextBladeMm"
        @tried="tried"
      />
      <form class="typed" @submit.prevent="figure()">
        <label for="typed" class="small soft">or type a figure</label>
        <BFormInput
          id="typed"
          v-model="typed"
          inputmode="decimal"
          autocomplete="off"
          @keydown.enter.prevent="onServer && draft?.figure === typed.trim() ? keep() : figure()"
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
        <BButton v-if="canBeSure || offer" class="btn-plain ms-2" @click="figure(true)">No, it is so</BButton>
      </div>
      <p v-else-if="onServer && nowText" class="verdict mt-2" :class="`is-${onServer.state}`" aria-live="polite">
        <VerdictMark :state="onServer.state" :size="26" />
        {{
          { tight: 'Tight', loose: 'Loose', inWindow: 'In window', borderline: 'Borderline' }[
            onServer.state ?? 'inWindow'
          ]
        }}: {{ nowText }}.
        <span v-if="onServer.state === 'borderline' && onServer.decidingBladeMm != null" class="small"
          >The {{ figures.figure(onServer.decidingBladeMm) }} blade decides.</span
        >
      </p>
      <Field v-if="needsWhy || leaving" v-slot="{ id }" class="mt-2" label="Why is it left so?" :complaint="needsWhy">
        <BFormInput :id="id" v-model="why" />
      </Field>
      <div class="actions">
        <BButton class="btn-act keep" :disabled="!ready" @click="keep"
          >Keep {{ nowText || '…' }} as {{ setting ? 'left' : 'found' }}</BButton
        >
        <BButton class="btn-plain" :disabled="!draft" @click="takeBack">Take back</BButton>
        <BButton v-if="setting && !leaving && !draft" class="btn-plain" @click="leaving = true"
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
