<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { hours } from '../shared/figures/hours'

/** Hours from now to the first limit: the band of the forecast, its likeliest hour, and the book's flag. */
const props = withDefaults(
  defineProps<{
    early?: number | null
    at?: number | null
    late?: number | null
    book?: number | null
    side?: 'tight' | 'loose' | null
    urgent?: boolean
    span?: number
    labels?: boolean
  }>(),
  { span: 3000, labels: false },
)

const left = 8
const width = 310
const scale = computed(() => scaleLinear([0, props.span], [left, left + width]).clamp(true))
const x = (h: number) => scale.value(h)
const ticks = computed(() => Array.from({ length: 13 }, (_, i) => ({ h: (props.span / 12) * i, big: i % 4 === 0 })))
const band = computed(() => {
  if (props.at === null || props.at === undefined || props.at > props.span) return null
  const early = Math.min(props.early ?? props.at, props.at)
  const late = Math.max(props.late ?? props.span, props.at)
  return `${x(early)},34 ${x(props.at)},20 ${x(late)},34`
})
const said = computed(() => {
  const parts = []
  if (props.at !== null && props.at !== undefined)
    parts.push(
      props.at <= 0 ? 'drift limit reached' : `drift limit in ${hours(props.at)} h, from ${hours(props.early ?? 0)} h`,
    )
  if (props.book !== null && props.book !== undefined)
    parts.push(props.book < 0 ? `book overdue ${hours(-props.book)} h` : `book in ${hours(props.book)} h`)
  return parts.join('; ') || 'no limit in sight'
})
</script>

<template>
  <svg
    class="runway"
    :viewBox="labels ? '0 10 330 46' : '0 13 330 30'"
    role="img"
    :aria-label="said"
    preserveAspectRatio="xMinYMid meet"
  >
    <title>{{ said }}</title>
    <polygon v-if="band" :points="band" :class="urgent && side ? `band-${side}` : 'band'" />
    <line :x1="left" :x2="left + width" y1="34" y2="34" class="base" />
    <line
      v-for="tick in ticks"
      :key="tick.h"
      :x1="x(tick.h)"
      :x2="x(tick.h)"
      y1="34"
      :y2="tick.big ? 40 : 37"
      class="base"
    />
    <line
      v-if="at !== null && at !== undefined && at > 0 && at <= span"
      :x1="x(at)"
      :x2="x(at)"
      y1="20"
      y2="34"
      :class="urgent && side ? `edge-${side}` : 'edge'"
    />
    <rect
      v-if="at !== null && at !== undefined && at <= 0"
      :x="left - 1.5"
      y="25"
      width="4"
      height="16"
      :class="`now-${side ?? 'tight'}`"
    />
    <g v-if="book !== null && book !== undefined && book <= span" :class="book < 0 ? 'flag-late' : 'flag'">
      <line :x1="x(book)" :x2="x(book)" y1="17" y2="34" />
      <path :d="`M ${x(book)} 17 h 10 l -2.5 4.2 l 2.5 4.2 h -10 z`" />
    </g>
    <g v-if="labels" class="labels">
      <text
        v-for="tick in ticks.filter((t) => t.big)"
        :key="`t${tick.h}`"
        :x="x(tick.h)"
        y="52"
        :text-anchor="tick.h === 0 ? 'start' : tick.h === span ? 'end' : 'middle'"
      >
        {{ tick.h === 0 ? 'now' : hours(tick.h) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.runway {
  width: 100%;
  max-width: 400px;
  display: block;
}
.base,
.edge {
  stroke: var(--ink-soft);
  stroke-width: 1;
}
.edge {
  stroke-width: 1.5;
}
.band {
  fill: var(--hairline);
}
.band-tight {
  fill: var(--tight-wash);
}
.band-loose {
  fill: var(--loose-wash);
}
.edge-tight {
  stroke: var(--tight);
  stroke-width: 1.8;
}
.edge-loose {
  stroke: var(--loose);
  stroke-width: 1.8;
}
.now-tight {
  fill: var(--tight);
}
.now-loose {
  fill: var(--loose);
}
.flag line {
  stroke: var(--blue);
}
.flag path {
  fill: var(--blue);
}
.flag-late line {
  stroke: var(--ink);
}
.flag-late path {
  fill: var(--ink);
}
.labels text {
  font-family: var(--mono);
  font-size: 13px;
  fill: var(--ink-soft);
}
</style>
