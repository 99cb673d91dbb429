<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { size } from '../../shared/words/shims'

/** The shims of one head on the scale of their series: each a plate, an arrow where its seat works towards an end. */
const props = defineProps<{ points: Schemas['ShimPointAhead'][]; thinnest: number; thickest: number }>()
const width = 320
const x = (mm: number) =>
  18 + (width - 36) * Math.min(1, Math.max(0, (mm - props.thinnest) / Math.max(1e-6, props.thickest - props.thinnest)))
/** Plates of one size stand on each other. */
const plates = computed(() => {
  const high = new Map<number, number>()
  return props.points.map((p) => {
    const at = Math.round(x(p.shimMm!) / 8)
    const n = high.get(at) ?? 0
    high.set(at, n + 1)
    return { ...p, x: x(p.shimMm!), y: n }
  })
})
const rows = computed(() => Math.max(1, ...plates.value.map((p) => p.y + 1)))
const height = computed(() => rows.value * 9 + 26)
const said = computed(
  () =>
    `Shims from ${size(props.thinnest)} to ${size(props.thickest)}: ${props.points.map((p) => `${p.point} ${size(p.shimMm!)}`).join(', ')}`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="left" role="img" :aria-label="said">
    <title>{{ said }}</title>
    <line x1="18" :x2="width - 18" :y1="height - 18" :y2="height - 18" class="scale" />
    <path :d="`M 18 ${height - 24} v 12 M ${width - 18} ${height - 24} v 12`" class="end" />
    <g v-for="p in plates" :key="p.point">
      <rect :x="p.x - 7" :y="height - 26 - p.y * 9" width="14" height="7" class="plate-mark" />
      <path
        v-if="p.towards && p.hours?.middle != null && p.hours.middle < 60000"
        :d="
          p.towards === 'thinnest'
            ? `M ${p.x - 9} ${height - 22.5 - p.y * 9} l -7 0 m 3 -3 l -3 3 l 3 3`
            : `M ${p.x + 9} ${height - 22.5 - p.y * 9} l 7 0 m -3 -3 l 3 3 l -3 3`
        "
        class="arrow"
        :class="p.towards === 'thinnest' ? 'tight' : 'loose'"
      />
    </g>
    <text x="18" :y="height - 2">{{ size(thinnest) }}</text>
    <text :x="width - 18" :y="height - 2" text-anchor="end">{{ size(thickest) }}</text>
  </svg>
</template>

<style scoped>
.left {
  width: 100%;
  display: block;
}
.scale {
  stroke: var(--ring);
  stroke-width: 2;
}
.end {
  stroke: var(--ink);
  stroke-width: 2;
}
.plate-mark {
  fill: var(--shade);
  stroke: var(--ink-soft);
}
.arrow {
  fill: none;
  stroke-width: 1.8;
}
.tight {
  stroke: var(--tight);
}
.loose {
  stroke: var(--loose);
}
text {
  font-family: var(--mono);
  font-size: 13px;
  fill: var(--ink-soft);
}
</style>
