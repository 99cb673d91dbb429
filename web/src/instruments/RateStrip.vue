<script setup lang="ts">
import { extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { computed, useTemplateRef } from 'vue'
import type { Figures } from '../shared/figures/useFigures'
import { useDrawnWidth } from './useDrawn'

/** A rate with nine in ten of its doubt, and the rates of its sisters behind it. */
export interface RateLine {
  key: string
  name: string
  mmPer1000h: number
  standardErrorMmPer1000h: number
  sisters?: number[]
  stands?: 'tight' | 'loose' | ''
  says: string
}

const props = defineProps<{ lines: RateLine[]; figures: Figures; label: string; picked?: string }>()
defineEmits<{ pick: [key: string] }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useDrawnWidth(box, 560, 200)
const row = 30
/** Nine in ten of a normal doubt lie within this many standard errors. */
const ninety = 1.645
const nameWidth = computed(() => Math.min(200, 16 + 8 * Math.max(3, ...props.lines.map((l) => l.name.length))))
const x = computed(() => {
  const ends = props.lines.flatMap((l) => [
    l.mmPer1000h - ninety * l.standardErrorMmPer1000h,
    l.mmPer1000h + ninety * l.standardErrorMmPer1000h,
    ...(l.sisters ?? []),
    0,
  ])
  const [low = -0.01, high = 0.01] = extent(ends) as [number, number]
  return scaleLinear([low, high === low ? low + 0.01 : high], [nameWidth.value, width.value - 24])
})
const height = computed(() => props.lines.length * row + 34)
</script>

<template>
  <div ref="box">
    <svg class="drawing" :width="width" :height="height" role="group" :aria-label="label">
      <line :x1="x(0)" :x2="x(0)" :y1="4" :y2="height - 28" class="zero" />
      <g
        v-for="(l, i) in lines"
        :key="l.key"
        class="line"
        :class="[l.stands ? `is-${l.stands}` : '', { picked: l.key === picked }]"
        role="button"
        tabindex="0"
        :aria-label="`${l.name}: ${l.says}`"
        @click="$emit('pick', l.key)"
        @keydown.enter="$emit('pick', l.key)"
      >
        <title>{{ l.says }}</title>
        <rect x="0" :y="i * row" :width="width" :height="row" class="reach" />
        <text x="2" :y="i * row + 20">{{ l.name }}</text>
        <circle v-for="(s, k) in l.sisters ?? []" :key="k" :cx="x(s)" :cy="i * row + 15" r="3.5" class="sister" />
        <line
          :x1="x(l.mmPer1000h - ninety * l.standardErrorMmPer1000h)"
          :x2="x(l.mmPer1000h + ninety * l.standardErrorMmPer1000h)"
          :y1="i * row + 15"
          :y2="i * row + 15"
          class="doubt"
        />
        <circle :cx="x(l.mmPer1000h)" :cy="i * row + 15" r="5" class="rate" />
      </g>
      <g class="axis">
        <text v-for="t in x.ticks(4)" :key="t" :x="x(t)" :y="height - 16" text-anchor="middle">
          {{ t === 0 ? '0' : figures.rate(t) }}
        </text>
        <text :x="x(0) - 6" :y="height - 2" text-anchor="end">◂ closing</text>
        <text :x="x(0) + 6" :y="height - 2">opening ▸</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
}
.zero {
  stroke: var(--ink-soft);
}
.line {
  color: var(--ink);
  cursor: pointer;
}
.line.is-tight {
  color: var(--tight);
}
.line.is-loose {
  color: var(--loose);
}
.line text {
  fill: currentcolor;
  font-weight: 700;
  font-size: 14px;
}
.reach {
  fill: transparent;
}
.picked .reach {
  fill: var(--blue-wash);
}
.doubt {
  stroke: currentcolor;
  stroke-width: 2;
}
.rate {
  fill: currentcolor;
}
.sister {
  fill: var(--line);
}
.axis text {
  fill: var(--ink-soft);
  font-family: var(--mono);
  font-size: 12px;
}
</style>
