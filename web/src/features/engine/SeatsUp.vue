<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useFigures } from '../../shared/figures/useFigures'

/** How far each seat has come up since build, one column a point; across them the free thread, where it is known. */
const props = defineProps<{ points: Schemas['ShimPointAhead'][]; free?: number | null }>()
const figures = useFigures()
const width = 320
const base = 58
const told = computed(() => props.points.filter((p) => p.recessionMm != null))
const most = computed(() => Math.max(0.1, ...told.value.map((p) => p.recessionMm!)))
const y = computed(() => scaleLinear([0, most.value * 1.15], [base, 8]).clamp(true))
const step = computed(() => Math.min(40, (width - 50) / Math.max(1, told.value.length)))
const said = computed(() => told.value.map((p) => `${p.point} ${figures.figure(p.recessionMm)}`).join(', '))
</script>

<template>
  <svg :viewBox="`0 0 ${width} 78`" class="up" role="img" :aria-label="`Seats come up since build: ${said}`">
    <title>{{ said }}</title>
    <line x1="38" :x2="width - 4" :y1="base" :y2="base" class="scale" />
    <text x="34" :y="y(most) + 4" text-anchor="end">{{ figures.figure(most) }}</text>
    <text x="34" :y="base + 4" text-anchor="end">0</text>
    <g v-for="(p, i) in told" :key="p.point">
      <rect
        :x="42 + i * step"
        :y="Math.min(base - 1.5, y(Math.max(0, p.recessionMm!)))"
        :width="step - 6"
        :height="Math.max(1.5, base - y(Math.max(0, p.recessionMm!)))"
        class="column"
      />
      <text v-if="p.point.length * 8.5 < step" :x="42 + i * step + (step - 6) / 2" y="74" text-anchor="middle">
        {{ p.point }}
      </text>
    </g>
    <line v-if="free != null && free < most * 1.15" x1="38" :x2="width - 4" :y1="y(free)" :y2="y(free)" class="end" />
  </svg>
</template>

<style scoped>
.up {
  width: 100%;
  display: block;
}
.scale {
  stroke: var(--ring);
  stroke-width: 2;
}
.column {
  fill: var(--shade);
  stroke: var(--ink-soft);
}
.end {
  stroke: var(--tight);
  stroke-width: 2;
}
text {
  font-family: var(--mono);
  font-size: 13px;
  fill: var(--ink-soft);
}
</style>
