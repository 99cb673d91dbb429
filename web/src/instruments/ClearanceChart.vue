<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId, useTemplateRef } from 'vue'
import { hours } from '../shared/figures/hours'
import ClearanceMark from './ClearanceMark.vue'
import type { SeriesMark } from './clearanceSeries'
import { useClearanceDrawing, type ClearanceProps } from './useClearanceDrawing'

/** Clearance along an engine's life: the saw-tooth of runs, the window as it was revised, the forecast as a fan. */
const props = defineProps<ClearanceProps>()
const emit = defineEmits<{ tell: [mark: SeriesMark] }>()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const { height, edge, x, y, at, runs, usual, fanArea, fanMean, windows, marks, parts, ticks } = useClearanceDrawing(
  props,
  width,
)
const clip = useId()
const told = ref('')
const unit = computed(() => props.figures.unit)
function tell(mark: SeriesMark) {
  told.value = mark.says
  emit('tell', mark)
}
const month = new Intl.DateTimeFormat('en', { month: 'short', year: 'numeric', timeZone: 'UTC' })
const tickText = (t: number | Date) => {
  if (typeof t !== 'number') return props.compact ? String(t.getUTCFullYear()) : month.format(t)
  return props.compact ? (t >= 1000 || t === 0 ? `${t / 1000}k` : String(t)) : hours(t)
}
</script>

<template>
  <div ref="box" class="chart" :class="{ compact }">
    <svg v-if="width > 0" :width="width" :height="height" role="group" :aria-label="label">
      <defs>
        <clipPath :id="clip">
          <rect :x="edge.left" :y="0" :width="Math.max(0, width - edge.left)" :height="height - edge.bottom" />
        </clipPath>
      </defs>
      <g :clip-path="`url(#${clip})`">
        <g v-for="w in windows" :key="w.date">
          <rect
            :x="w.x"
            :width="w.width"
            :y="at(w.maxMm)"
            :height="Math.max(0, at(w.minMm) - at(w.maxMm))"
            class="window"
          />
          <line
            v-for="mm in [w.minMm, w.maxMm]"
            :key="mm"
            :x1="w.x"
            :x2="w.x + w.width"
            :y1="at(mm)"
            :y2="at(mm)"
            class="limit"
          />
          <line v-if="w.setMm != null" :x1="w.x" :x2="w.x + w.width" :y1="at(w.setMm)" :y2="at(w.setMm)" class="set" />
          <line v-if="w.changed" :x1="w.x" :x2="w.x" :y1="edge.top" :y2="height - edge.bottom" class="revised" />
        </g>
        <path v-for="(path, i) in usual" :key="`u${i}`" :d="path ?? ''" class="usual" />
        <path v-if="fan.length" :d="fanArea ?? ''" class="fan" />
        <path v-if="fan.length" :d="fanMean ?? ''" class="mean" />
        <path v-for="(run, i) in runs" :key="i" :d="run ?? ''" class="run" />
        <g v-for="p in parts" :key="p.key">
          <line :x1="p.x" :x2="p.x" :y1="edge.top" :y2="height - edge.bottom" class="part" />
        </g>
      </g>
      <g class="axis">
        <line :x1="edge.left" :x2="width - edge.right" :y1="height - edge.bottom" :y2="height - edge.bottom" />
        <template v-for="t in ticks" :key="Number(t.value)">
          <line :x1="t.x" :x2="t.x" :y1="height - edge.bottom" :y2="height - edge.bottom + 4" />
          <text :x="t.x" :y="height - edge.bottom + 17" text-anchor="middle">{{ tickText(t.value) }}</text>
        </template>
        <text
          v-if="!compact"
          :x="(edge.left + width - edge.right) / 2"
          :y="height - 4"
          text-anchor="middle"
          class="name"
        >
          {{ dates ? 'date' : 'engine hours' }}
        </text>
        <text v-for="t in y.ticks(compact ? 3 : 5)" :key="`y${t}`" :x="edge.left - 6" :y="y(t) + 4" text-anchor="end">
          {{ unit === 'mm' ? t.toFixed(2) : Number(t.toFixed(1)) }}
        </text>
      </g>
      <ClearanceMark
        v-for="m in marks"
        :key="m.key"
        :mark="m"
        :at="at"
        :compact="compact"
        @mouseenter="told = m.says"
        @focus="tell(m)"
        @click.stop="tell(m)"
      />
      <line
        v-if="!compact && stretch"
        :x1="x.range()[0]"
        :x2="x.range()[1]"
        :y1="height - edge.bottom"
        :y2="height - edge.bottom"
        class="zoomed"
      />
    </svg>
    <p v-if="!compact" class="small mb-0 told" aria-live="polite">
      {{ told || `Ring: as found. Dot: as left. Bar: between two blades. Band: the window. Fan: 90 % range. ${unit}.` }}
    </p>
  </div>
</template>

<style scoped>
.chart {
  min-height: 270px;
}
.chart.compact {
  min-height: 150px;
}
svg {
  display: block;
  max-width: 100%;
}
.window {
  fill: var(--blue-wash);
}
.limit {
  stroke: var(--blue);
  stroke-width: 1.2;
}
.set {
  stroke: var(--blue);
  stroke-width: 1;
  stroke-dasharray: 2 4;
}
.revised {
  stroke: var(--blue);
  stroke-dasharray: 5 3;
}
.part {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 1 3;
}
.fan {
  fill: var(--ink-soft);
  opacity: 0.22;
}
.mean {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.4;
  stroke-dasharray: 4 4;
}
.usual {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.6;
  stroke-dasharray: 1 3;
}
.run {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
}
.axis line {
  stroke: var(--line);
}
.zoomed {
  stroke: var(--blue);
  stroke-width: 3;
}
.axis text {
  fill: var(--ink-soft);
  font-family: var(--mono);
  font-size: 12px;
}
.axis .name {
  font-family: var(--sans);
}
.told {
  color: var(--ink-soft);
}
</style>
