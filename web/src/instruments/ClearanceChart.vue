<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area, line } from 'd3-shape'
import { computed, ref, useTemplateRef } from 'vue'
import { hours } from '../shared/figures/hours'
import type { Figures } from '../shared/figures/useFigures'
import { marksOf, runsOf, type SeriesVisit } from './clearanceSeries'

/** A step of the forecast, hours from now. */
interface Step {
  hours: number
  meanMm: number
  lowMm: number
  highMm: number
}

/** Clearance against engine hours: the saw-tooth of runs, the window, the forecast as a fan. Everything drawn comes as it is from the core. */
const props = defineProps<{
  series: SeriesVisit[]
  fan: Step[]
  totalHours: number
  minMm?: number | null
  maxMm?: number | null
  figures: Figures
  label: string
}>()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 250
const edge = { left: 52, right: 16, top: 12, bottom: 38 }

const visits = computed(() => props.series.filter((v) => v.foundMm !== null || v.leftMm !== null))
const x = computed(() => {
  const [first, last] = extent([
    ...visits.value.map((v) => v.hours),
    props.totalHours,
    ...props.fan.map((f) => props.totalHours + f.hours),
  ]) as [number, number]
  return scaleLinear(
    [first, Math.max(last, first + 1)],
    [edge.left + 8, Math.max(edge.left + 20, width.value - edge.right)],
  )
})
const y = computed(() => {
  const values = [
    ...visits.value.flatMap((v) => [v.foundMm, v.leftMm]),
    ...props.fan.flatMap((f) => [f.lowMm, f.highMm]),
    props.minMm,
    props.maxMm,
  ].filter((v): v is number => v !== null && v !== undefined)
  const [low, high] = extent(values.map(props.figures.scaled)) as [number, number]
  const pad = Math.max(high - low, props.figures.scaled(0.02)) * 0.12
  return scaleLinear([Math.max(0, low - pad), high + pad], [height - edge.bottom, edge.top]).nice(5)
})
const at = (mm: number) => y.value(props.figures.scaled(mm))

const runs = computed(() => {
  const path = line<[number, number]>(
    (d) => x.value(d[0]),
    (d) => at(d[1]),
  )
  return runsOf(visits.value).map((run) => path(run))
})
const fanArea = computed(() =>
  area<Step>()
    .x((f) => x.value(props.totalHours + f.hours))
    .y0((f) => at(f.lowMm))
    .y1((f) => at(f.highMm))(props.fan),
)
const fanMean = computed(() => {
  const last = visits.value.filter((v) => !v.excluded).at(-1)
  const from = last?.leftMm ?? last?.foundMm
  const start: [number, number][] = last && from != null ? [[last.hours, from]] : []
  return line<[number, number]>(
    (d) => x.value(d[0]),
    (d) => at(d[1]),
  )([...start, ...props.fan.map((f): [number, number] => [props.totalHours + f.hours, f.meanMm])])
})
const marks = computed(() => marksOf(visits.value, props, props.figures))
const told = ref('')
const ticks = computed(() => x.value.ticks(Math.max(2, Math.floor(width.value / 120))))
</script>

<template>
  <div ref="box" class="chart">
    <svg v-if="width > 0" :width="width" :height="height" role="group" :aria-label="label">
      <template v-if="minMm != null && maxMm != null">
        <rect
          :x="edge.left"
          :width="Math.max(0, width - edge.left - edge.right)"
          :y="at(maxMm)"
          :height="Math.max(0, at(minMm) - at(maxMm))"
          class="window"
        />
        <line
          v-for="mm in [minMm, maxMm]"
          :key="mm"
          :x1="edge.left"
          :x2="width - edge.right"
          :y1="at(mm)"
          :y2="at(mm)"
          class="limit"
        />
      </template>
      <path v-if="fan.length" :d="fanArea ?? ''" class="fan" />
      <path v-if="fan.length" :d="fanMean ?? ''" class="mean" />
      <path v-for="(run, i) in runs" :key="i" :d="run ?? ''" class="run" />
      <g class="axis">
        <line :x1="edge.left" :x2="width - edge.right" :y1="height - edge.bottom" :y2="height - edge.bottom" />
        <template v-for="t in ticks" :key="t">
          <line :x1="x(t)" :x2="x(t)" :y1="height - edge.bottom" :y2="height - edge.bottom + 4" />
          <text :x="x(t)" :y="height - edge.bottom + 17" text-anchor="middle">{{ hours(t) }}</text>
        </template>
        <text :x="(edge.left + width - edge.right) / 2" :y="height - 4" text-anchor="middle" class="name">
          engine hours
        </text>
        <text v-for="t in y.ticks(5)" :key="`y${t}`" :x="edge.left - 8" :y="y(t) + 4" text-anchor="end">
          {{ figures.unit === 'mm' ? t.toFixed(2) : Number(t.toFixed(1)) }}
        </text>
      </g>
      <circle
        v-for="m in marks"
        :key="m.key"
        :cx="x(m.hours)"
        :cy="at(m.mm)"
        r="5"
        tabindex="0"
        role="img"
        :aria-label="m.says"
        :class="[m.isRing ? 'ring' : 'dot', m.side ? `is-${m.side}` : '', { out: m.excluded }]"
        @mouseenter="told = m.says"
        @focus="told = m.says"
        @click="told = m.says"
      >
        <title>{{ m.says }}</title>
      </circle>
    </svg>
    <p class="small mb-0 told" aria-live="polite">
      {{
        told || `Ring: as found. Dot: as left. Band: the window. Fan: nine in ten of what is expected. ${figures.unit}.`
      }}
    </p>
  </div>
</template>

<style scoped>
.chart {
  min-height: 270px;
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
  stroke-width: 1.4;
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
.run {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
}
.axis line {
  stroke: var(--line);
}
.axis text {
  fill: var(--ink-soft);
  font-family: var(--mono);
  font-size: 12px;
}
.axis .name {
  font-family: var(--sans);
}
.ring {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 2;
}
.dot {
  fill: var(--ink);
  stroke: var(--plate);
  stroke-width: 1;
}
.ring.is-tight {
  stroke: var(--tight);
}
.dot.is-tight {
  fill: var(--tight);
}
.ring.is-loose {
  stroke: var(--loose);
}
.dot.is-loose {
  fill: var(--loose);
}
.out {
  stroke-dasharray: 3 2;
}
.told {
  color: var(--ink-soft);
}
</style>
