<script setup lang="ts">
import { computed } from 'vue'
import GapStrip from '../../../instruments/GapStrip.vue'
import VerdictMark from '../../../instruments/VerdictMark.vue'
import type { Entry } from '../../../offline/entries'
import { hours } from '../../../shared/figures/hours'
import { useFigures } from '../../../shared/figures/useFigures'
import { spoken } from '../../../shared/words/points'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import AmountPanel from './AmountPanel.vue'
import MeasurePoint from './MeasurePoint.vue'
import PointDone from './PointDone.vue'
import type { Draft, Point, Sheet, Stage, Trouble } from './useVisit'

/** One lash point in large type: its window, what was found, and what to do now. */
const props = defineProps<{
  sheet: Sheet
  point: Point
  proved: boolean
  closed: boolean
  signed: boolean
  trouble: Trouble | null
  draftOf: (point: Point, stage: Stage) => Draft | null
  readingFor: (point: Point, stage: Stage) => string
  resetting: boolean
}>()
const emit = defineEmits<{ say: [...entries: Entry[]]; correct: []; reset: []; prove: [] }>()
const figures = useFigures()

const setting = computed(() => props.point.found !== null && (!props.point.done || props.resetting))
const finished = computed(() => props.point.done && !props.resetting)
const onServer = computed(() => (setting.value || props.point.left ? props.point.leftDraft : props.point.foundDraft))
const state = computed(
  () => (setting.value ? onServer.value?.state : (onServer.value ?? props.point.found)?.state) ?? null,
)
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
</script>

<template>
  <section>
    <div class="d-flex justify-content-between align-items-start">
      <h1 class="name" tabindex="-1">{{ spoken(point) }}</h1>
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
      :state="state"
      :label="spoken(point)"
    />

    <div v-if="point.found && point.minMm != null" class="found" :class="`is-${point.found.state}`">
      <p class="verdict">
        <VerdictMark :state="point.found.state" :size="26" />
        Found {{ point.found.state ? `${verdictWords[point.found.state]}: ` : ''
        }}{{ readingText(point.found, figures.figure)
        }}{{ point.found.state === 'tight' ? ` of ${figures.withUnit(point.minMm)}` : ''
        }}{{ point.found.state === 'loose' ? ` of ${figures.withUnit(point.maxMm)}` : '' }}.
      </p>
      <p class="small soft mb-1">
        {{ moved }}
        <template v-if="point.corrected.length"
          >Corrected; before:
          {{ point.corrected.map((c) => readingText(c.before, figures.figure)).join(', ') }}.</template
        >
      </p>
    </div>

    <PointDone
      v-if="finished"
      :point="point"
      :closed="closed"
      :signed="signed"
      @correct="emit('correct')"
      @reset="emit('reset')"
    />
    <AmountPanel v-else-if="point.byAmount" :point="point" @say="(...entries) => emit('say', ...entries)" />
    <MeasurePoint
      v-else
      :sheet="sheet"
      :point="point"
      :setting="setting"
      :proved="proved"
      :resetting="resetting"
      :trouble="trouble"
      :draft-of="draftOf"
      :reading-for="readingFor"
      @say="(...entries) => emit('say', ...entries)"
      @prove="emit('prove')"
    />
  </section>
</template>

<style scoped>
.name {
  font-size: 2.3rem;
  line-height: 1.1;
}
.found {
  margin-top: 0.4rem;
}
</style>
