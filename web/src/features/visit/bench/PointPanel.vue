<script setup lang="ts">
import { computed, ref } from 'vue'
import GapStrip from '../../../instruments/GapStrip.vue'
import StateMark from '../../../instruments/StateMark.vue'
import type { Entry } from '../../../offline/entries'
import { day } from '../../../shared/figures/days'
import { hours } from '../../../shared/figures/hours'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { spoken } from '../../../shared/words/points'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import AmountPanel from './AmountPanel.vue'
import ByEye from './ByEye.vue'
import ClaimedFigure from './ClaimedFigure.vue'
import MeasurePoint from './MeasurePoint.vue'
import PointDone from './PointDone.vue'
import PointSteps from './PointSteps.vue'
import SettingTrail from './SettingTrail.vue'
import ShimPanel from './ShimPanel.vue'
import { stageAt } from './useMeasuring'
import type { Draft, Point, Sheet, Stage, Trouble, Visit } from './useVisit'

/** One lash point in large type: its window, what was found, and what to do now. */
const props = defineProps<{
  view: Visit
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
const emit = defineEmits<{
  say: [...entries: Entry[]]
  correct: []
  reset: []
  prove: []
  pick: [label: string]
  note: []
}>()
// In the unit of the blades in hand.
const figures = useFigures(() => props.sheet.trayUnit as Unit)

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
const onServer = computed(() =>
  setting.value || props.point.left
    ? (props.point.leftDraft ?? props.point.beforeLockDraft ?? props.point.beforeLock)
    : props.point.foundDraft,
)
const state = computed(
  () => (setting.value ? onServer.value?.state : (onServer.value ?? props.point.found)?.state) ?? null,
)
/** As the book writes it; with the limits of a fleet's own tolerance beside it. */
const window_ = computed(() => {
  const p = props.point
  if (p.minMm == null)
    return p.byAmount ? (p.specWritten ?? 'set by the book') : 'no figure in the book: measured, not judged'
  const limits = `${figures.figure(p.minMm)} – ${figures.figure(p.maxMm)}`
  if (p.own) return `this engine’s own: ${p.specWritten} ${props.sheet.condition}; ${limits} ${figures.unit}`
  if (p.fleetTolerance) return `${p.specWritten}: ${limits} ${figures.unit}, ${props.sheet.condition}`
  if (p.gates) return `${p.gates.go} goes, ${p.gates.noGo} does not, ${props.sheet.condition}`
  return p.specUnit && p.specUnit !== props.sheet.trayUnit
    ? `${p.specWritten} ${props.sheet.condition}; ${limits} ${figures.unit}`
    : `window ${limits}, set ${p.guide?.setBlade ?? figures.withUnit(p.setMm)} ${props.sheet.condition}`
})
/** What is seen proves the valve by itself. */
const seen = computed(() => {
  if (!props.sheet.byEye || props.proved || props.closed) return null
  const said = props.sheet.method === 'lobeAway' ? 'lobe away' : (props.sheet.stops[props.point.stopIndex]?.sign ?? '')
  const twins = props.sheet.points.filter((p) => p.cylinder === props.point.cylinder && p.kind === props.point.kind)
  return { points: twins.map((p) => p.label), said }
})
/** The same in the other unit, beside what is judged by; the book’s own figures may say it already. */
const inOther = computed(() =>
  props.point.minMm == null || (props.point.specUnit && props.point.specUnit !== props.sheet.trayUnit)
    ? ''
    : ` (${figures.otherRange(props.point.minMm, props.point.maxMm)})`,
)
/** A shim that is to be changed is changed first; only then there is something to measure. */
const changesShim = computed(
  () =>
    !!props.point.shim &&
    setting.value &&
    !!(props.point.found || props.point.foundBefore || props.point.beforeLock) &&
    !props.point.shim.fitted &&
    !props.point.leftDraft,
)
const asksMark = computed(() => props.point.adjusterKind === 'eccentric')
/** A meter that was replaced shows other hours than the engine has run: then these are named. */
const hoursInAll = computed(() =>
  props.sheet.totalHours != null && Math.abs(props.sheet.totalHours - (props.sheet.shownHours ?? 0)) > 0.5
    ? ' in all'
    : '',
)
const expected = computed(() =>
  props.point.beforeMm != null
    ? ` · last left ${figures.rough(props.point.beforeMm)} at ${hours(props.point.beforeHours ?? 0)} h${hoursInAll.value}${props.point.expectedMm != null ? ` · expected ${figures.rough(props.point.expectedMm)}` : ''}`
    : props.point.byAmount
      ? ''
      : ' · never measured before',
)
/** A tap that kept itself too soon: the reading is open again, with its tries. */
function takeBack(entry: string) {
  emit('say', { kind: 'undone', entry })
}
</script>

<template>
  <section class="panel">
    <div class="d-flex justify-content-between align-items-start">
      <h1 class="name" tabindex="-1">
        {{ point.bookName ? `Valve ${point.bookName}` : spoken(point)
        }}<span v-if="point.bookName" class="also"> · {{ spoken(point) }}</span>
      </h1>
      <span class="caps pt-2">{{
        finished
          ? 'done'
          : looksOnly
            ? 'one look is left'
            : point.byAmount
              ? 'by the book’s amount'
              : setting
                ? 'set, then measure again'
                : 'measure as found'
      }}</span>
    </div>
    <p class="small mb-2">
      {{ window_ }}<span class="soft">{{ inOther }}{{ expected }}</span>
    </p>
    <p v-if="point.own" class="small soft mb-2">{{ point.own.source }}: {{ point.own.why }} ({{ point.own.who }})</p>
    <p v-if="point.bridge" class="small soft mb-1">
      One rocker over a bridge.<template v-if="sheet.narrowBlade">
        A narrow blade: lift the bridge slightly to get it in.</template
      >
    </p>
    <p v-if="asksMark && setting" class="small soft mb-1">
      Two positions of the shaft give this gap; only the one with its index mark outward, away from the plug, is right.
    </p>
    <ClaimedFigure
      v-if="view.job === 'receivingCheck' && !point.byAmount"
      :key="`claimed ${point.label}`"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      :figures="figures"
      :closed="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
    <ByEye
      v-if="sheet.byEye && !closed && !finished"
      :view="view"
      :sheet="sheet"
      :point="point"
      :proved="proved"
      @pick="(label) => emit('pick', label)"
    />
    <p v-if="point.siblings && point.minMm == null" class="small mb-1">
      Its {{ point.siblings.points }} siblings read {{ figures.figure(point.siblings.leastMm) }} to
      {{ figures.withUnit(point.siblings.mostMm) }}.<strong v-if="point.siblings.odd">
        {{ point.siblings.odd }} is unlike the rest: look at it again.</strong
      >
    </p>
    <PointSteps
      v-if="!finished"
      :view="view"
      :sheet="sheet"
      :point="point"
      :closed="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
    <GapStrip
      v-if="point.minMm != null"
      tall
      :min="point.minMm"
      :max="point.maxMm"
      :set="point.setMm"
      :found="point.found?.estimateMm ?? (setting ? point.foundBefore?.estimateMm : onServer?.estimateMm)"
      :lower="point.found?.lowerMm ?? (setting ? point.foundBefore?.lowerMm : onServer?.lowerMm)"
      :upper="point.found?.upperMm ?? (setting ? point.foundBefore?.upperMm : onServer?.upperMm)"
      :left="setting ? (onServer?.estimateMm ?? null) : (point.left?.estimateMm ?? null)"
      :expected="point.expectedMm"
      :tried="point.attempts.map((a) => a.estimateMm).filter((mm) => mm != null)"
      :state="state"
      :label="spoken(point)"
    />

    <!-- Once something was set the trail below says how it was found. -->
    <div v-if="point.found && point.minMm != null && !underWay" class="found" :class="`is-${point.found.state}`">
      <p class="verdict">
        <StateMark :state="point.found.state" :size="26" />
        Found {{ point.found.state ? `${verdictWords[point.found.state]}: ` : ''
        }}{{ point.found.with === 'dial' ? `${point.found.written} ${point.found.unit} on the dial, ` : ''
        }}{{ readingText(point.found, figures.figure)
        }}{{ point.found.state === 'tight' ? ` where ${figures.withUnit(point.minMm)} is the least` : ''
        }}{{ point.found.state === 'loose' ? ` where ${figures.withUnit(point.maxMm)} is the most` : '' }}.
        <span v-if="point.found.estimateMm != null" class="small soft">{{
          figures.other(point.found.estimateMm)
        }}</span>
      </p>
      <button
        v-if="setting && !point.left && !point.leftDraft && !point.beforeLock && point.found.keptEntry && !closed"
        type="button"
        class="btn btn-plain float-end"
        @click="takeBack(point.found.keptEntry)"
      >
        Take it back
      </button>
      <p class="small soft mb-1">
        {{ point.moved }}
        <template v-if="point.corrected.length"
          >Corrected; before:
          {{ point.corrected.map((c) => readingText(c.before, figures.figure)).join(', ') }}.</template
        >
      </p>
    </div>

    <div v-if="point.foundBefore && point.minMm != null && !finished" class="found">
      <p class="verdict">
        Found {{ figures.withUnit(point.foundBefore.estimateMm ?? point.foundBefore.upperMm) }},
        {{ day(point.foundBefore.at) }}.
      </p>
      <p v-if="sheet.findAgain && setting && !point.shim?.fitted" class="mb-1">{{ sheet.findAgain }}</p>
      <button
        v-if="setting && !point.shim?.fitted && !point.leftDraft && !closed"
        type="button"
        class="text-link small"
        @click="anew = true"
      >
        Measure it anew first
      </button>
      <button v-else-if="anew && !closed" type="button" class="text-link small" @click="anew = false">
        Go by what was found then
      </button>
    </div>

    <SettingTrail
      v-if="
        point.minMm != null &&
        !finished &&
        !looksOnly &&
        !changesShim &&
        (setting || point.attempts.length) &&
        (point.found || point.attempts.length || point.beforeLock)
      "
      :point="point"
      :stage="stage"
      :figures="figures"
    />
    <ShimPanel
      v-if="point.shim && !closed && (!finished || !point.shim.now)"
      :key="`shim ${point.label}`"
      :view="view"
      :point="point"
      :setting="setting"
      @say="(...entries) => emit('say', ...entries)"
    />
    <PointDone
      v-if="finished || looksOnly"
      :point="point"
      :closed="closed"
      :figures="figures"
      :signed="signed"
      :sheet="sheet"
      @correct="emit('correct')"
      @reset="emit('reset')"
      @take-back="takeBack"
      @say="(...entries) => emit('say', ...entries)"
    />
    <AmountPanel
      v-else-if="point.byAmount"
      :key="`amount ${point.label}`"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      @say="(...entries) => emit('say', ...entries)"
    />
    <MeasurePoint
      v-else-if="!changesShim"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      :setting="setting"
      :anew="foundAnew"
      :proved="proved"
      :resetting="resetting"
      :figures="figures"
      :seen="seen"
      :trouble="trouble"
      :draft-of="draftOf"
      :reading-for="readingFor"
      @say="(...entries) => emit('say', ...entries)"
      @prove="emit('prove')"
    />
    <button v-if="!closed" type="button" class="btn btn-plain more" @click="emit('note')">Remark, photo, part…</button>
  </section>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  flex: 1;
}
.panel > .more {
  align-self: flex-start;
}
.name {
  font-size: 2.3rem;
  line-height: 1.1;
}
.also {
  font-size: 1.2rem;
  font-weight: 400;
  color: var(--ink-soft);
}
.found {
  /* Its button is as tall as two lines: what follows stands below it. */
  display: flow-root;
  margin-top: 0.4rem;
}
.more {
  margin-top: 0.9rem;
}
</style>
