<script setup lang="ts">
import { computed } from 'vue'
import { hours } from '../../../shared/figures/hours'
import type { Figures } from '../../../shared/figures/useFigures'
import { spoken } from '../../../shared/words/points'
import type { Point, Sheet } from './useVisit'

/** Which point it is in large type, what its book asks, and what it was left at before. */
const props = defineProps<{ sheet: Sheet; point: Point; figures: Figures; setting: boolean; task: string }>()
/** As the book writes it; with the limits of a fleet's own tolerance beside it. */
const window_ = computed(() => {
  const p = props.point
  if (p.minMm == null)
    return p.byAmount ? (p.specWritten ?? 'set by the book') : 'no figure in the book: measured, not judged'
  const limits = `${props.figures.figure(p.minMm)} – ${props.figures.figure(p.maxMm)}`
  if (p.own) return `this engine’s own: ${p.specWritten} ${props.sheet.condition}; ${limits} ${props.figures.unit}`
  if (p.fleetTolerance) return `${p.specWritten}: ${limits} ${props.figures.unit}, ${props.sheet.condition}`
  if (p.gates) return `${p.gates.go} goes, ${p.gates.noGo} does not, ${props.sheet.condition}`
  return p.specUnit && p.specUnit !== props.sheet.trayUnit
    ? `${p.specWritten} ${props.sheet.condition}; ${limits} ${props.figures.unit}`
    : `window ${limits}, set ${p.guide?.setBlade ?? props.figures.withUnit(p.setMm)} ${props.sheet.condition}`
})
/** The same in the other unit, beside what is judged by; the book’s own figures may say it already. */
const inOther = computed(() =>
  props.point.minMm == null || (props.point.specUnit && props.point.specUnit !== props.sheet.trayUnit)
    ? ''
    : ` (${props.figures.otherRange(props.point.minMm, props.point.maxMm)})`,
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
    ? ` · last left ${props.figures.rough(props.point.beforeMm)} at ${hours(props.point.beforeHours ?? 0)} h${hoursInAll.value}${props.point.expectedMm != null ? ` · expected ${props.figures.rough(props.point.expectedMm)}` : ''}`
    : props.point.byAmount
      ? ''
      : ' · never measured before',
)
</script>

<template>
  <div class="d-flex justify-content-between align-items-start">
    <h1 class="name" tabindex="-1">
      {{ point.bookName ? `Valve ${point.bookName}` : spoken(point)
      }}<span v-if="point.bookName" class="also"> · {{ spoken(point) }}</span>
    </h1>
    <span class="caps pt-2">{{ task }}</span>
  </div>
  <slot />
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
</template>

<style scoped>
.name {
  font-size: 2.3rem;
  line-height: 1.1;
}
.also {
  font-size: 1.2rem;
  font-weight: 400;
  color: var(--ink-soft);
}
@media (max-height: 720px) {
  .name {
    font-size: 1.7rem;
  }
}
</style>
