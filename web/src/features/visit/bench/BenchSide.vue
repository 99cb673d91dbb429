<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import HeadMap from '../../../instruments/HeadMap.vue'
import TurningDial from '../../../instruments/TurningDial.vue'
import { useFigures } from '../../../shared/figures/useFigures'
import { readingText } from '../../../shared/words/readings'
import type { Point, Sheet } from './useVisit'

/** Beside the point: where the crank stands, the heads, how far the visit is, and whether it is saved. */
const props = defineProps<{
  sheet: Sheet
  stop?: Schemas['SheetStopRecord']
  current?: Point
  saved: 'saved' | 'saving' | 'waiting'
}>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures()
const next = computed(() => (props.stop ? props.sheet.stops[props.stop.index + 1] : undefined))
const found = computed(() => props.sheet.points.filter((p) => p.found || p.byAmount).length)
const done = computed(() => props.sheet.points.filter((p) => p.done).length)
/** A bracket stands at its middle: there is room for one figure only. */
const figureOf = (p: Point) => {
  const reading = p.left ?? p.found
  return reading?.estimateMm != null
    ? figures.rough(reading.estimateMm)
    : readingText(reading, figures.figure, true) || null
}
const heads = computed(() =>
  props.sheet.points.map((p) => ({
    ...p,
    id: p.label,
    figure: figureOf(p),
    state: (p.left ?? p.found)?.state ?? null,
    dim: props.stop ? !props.stop.points.includes(p.label) : false,
  })),
)
const words = {
  saved: 'Saved on the server.',
  saving: 'Saving…',
  waiting: 'Saved on this machine; the server cannot be reached. It is sent when it is back.',
}
</script>

<template>
  <div>
    <section class="plate p-3">
      <TurningDial
        :cycle="sheet.cycleDeg"
        :order="sheet.firingOrder"
        :angles="sheet.firingAnglesDeg"
        :crank="stop?.crankDeg ?? null"
        :next="next?.crankDeg ?? null"
        :room-back="stop?.roomBackDeg"
        :room-forward="stop?.roomForwardDeg"
        :caption="stop?.sign"
      />
      <p class="sign">{{ stop?.sign ?? 'Nobody bars yet.' }}</p>
      <p v-if="stop?.compressionCylinder && stop.rockingCylinder" class="small soft mb-0">
        Both rockers on {{ stop.compressionCylinder }} loose? If {{ stop.rockingCylinder }} is loose instead, turn once
        more, forwards.
      </p>
    </section>
    <section class="plate p-2 mt-2">
      <HeadMap :points="heads" :current="current?.label" @pick="$emit('pick', $event)" />
      <p class="small soft mb-1">Outlined: reachable at this stop. Grey: another stop.</p>
      <strong>{{ found }} of {{ sheet.points.length }} found, {{ done }} done</strong>
      <div
        class="progress-line"
        role="progressbar"
        :aria-valuenow="done"
        :aria-valuemax="sheet.points.length"
        aria-label="Points done"
      >
        <div :style="{ width: `${(done / sheet.points.length) * 100}%` }" />
      </div>
      <p class="small mb-0" :class="saved === 'waiting' ? 'is-tight' : 'soft'" aria-live="polite">{{ words[saved] }}</p>
    </section>
  </div>
</template>

<style scoped>
.sign {
  font-size: 1.12rem;
  font-weight: 700;
  margin: 0.3rem 0 0.1rem;
}
.progress-line {
  height: 6px;
  background: var(--shade);
  margin: 0.3rem 0;
}
.progress-line div {
  height: 100%;
  background: var(--blue);
}
</style>
