<script setup lang="ts">
import { computed } from 'vue'
import { useFigures } from '../../../shared/figures/useFigures'
import type { BenchPoint } from './useBench'

/** One point's gap on the scale of all: its window, a ring where it was found, a dot where it is expected to come. */
const props = defineProps<{ point: BenchPoint; from: number; to: number }>()
const figures = useFigures()
const width = 340
const x = (mm: number) =>
  6 + (width - 12) * Math.min(1, Math.max(0, (mm - props.from) / Math.max(1e-6, props.to - props.from)))
const found = computed(() => props.point.gapMm)
const tone = computed(() => ({ tight: 'tight', loose: 'loose' })[props.point.state as string] ?? 'ink')
const moves = computed(() => props.point.from && props.point.from !== 'own')
const said = computed(() => {
  const p = props.point
  const now =
    found.value != null
      ? `found ${figures.figure(found.value)}`
      : p.gapToMm != null
        ? `under ${figures.figure(p.gapToMm)}`
        : 'not measured'
  return `${p.id}: ${now}${moves.value ? `, expected ${figures.figure(p.predictedMm)}` : ''}`
})
</script>

<template>
  <svg :viewBox="`0 0 ${width} 30`" class="gap" :class="`tone-${tone}`" role="img" :aria-label="said">
    <line x1="0" :x2="width" y1="15" y2="15" class="scale" />
    <template v-if="point.minMm != null && point.maxMm != null">
      <rect :x="x(point.minMm)" y="4" :width="x(point.maxMm) - x(point.minMm)" height="22" class="window" />
      <path :d="`M ${x(point.minMm)} 2 v 26 M ${x(point.maxMm)} 2 v 26`" class="limit" />
    </template>
    <line v-if="moves && found != null" :x1="x(found)" :x2="x(point.predictedMm!)" y1="15" y2="15" class="moves" />
    <line
      v-if="point.gapFromMm != null && point.gapToMm != null && point.gapToMm > point.gapFromMm"
      :x1="x(point.gapFromMm)"
      :x2="x(point.gapToMm)"
      y1="15"
      y2="15"
      class="bracket"
    />
    <line
      v-else-if="found == null && point.gapToMm != null"
      x1="0"
      :x2="x(point.gapToMm)"
      y1="15"
      y2="15"
      class="bracket"
    />
    <circle v-if="found != null" :cx="x(found)" cy="15" r="6" class="found" />
    <circle v-if="moves" :cx="x(point.predictedMm!)" cy="15" r="6" class="after" :class="{ out: !point.inWindow }" />
  </svg>
</template>

<style scoped>
.gap {
  width: 100%;
  height: 30px;
  display: block;
}
.scale {
  stroke: var(--ring);
  stroke-width: 2;
}
.window {
  fill: var(--blue-wash);
}
.limit {
  stroke: var(--blue);
  stroke-width: 2;
}
.moves {
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 3 2;
}
.bracket {
  stroke: var(--tone);
  stroke-width: 5;
  opacity: 0.5;
}
.found {
  fill: var(--plate);
  stroke: var(--tone);
  stroke-width: 2.6;
}
.after {
  fill: var(--ink);
}
.after.out {
  fill: var(--tight);
}
.tone-ink {
  --tone: var(--ink);
}
.tone-tight {
  --tone: var(--tight);
}
.tone-loose {
  --tone: var(--loose);
}
</style>
