<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed, useTemplateRef } from 'vue'
import { mm } from '../shared/figures/lengths'
import { useFigures } from '../shared/figures/useFigures'
import { useDrawnWidth } from './useDrawn'

/** One clearance on a scale: the window, the figure to set, as found as a ring (or a bracket), what was turned away from as a cross, as left as a dot, what is expected as a notch. */
const props = withDefaults(
  defineProps<{
    min?: number | null
    max?: number | null
    set?: number | null
    found?: number | null
    lower?: number | null
    upper?: number | null
    left?: number | null
    /** What it was set to and turned away from again. */
    tried?: number[]
    expected?: number | null
    state?: 'tight' | 'loose' | 'inWindow' | 'borderline' | null
    tall?: boolean
    label?: string
  }>(),
  { tall: false, tried: () => [] },
)

const figures = useFigures()
const box = useTemplateRef<HTMLElement>('box')
const drawn = useDrawnWidth(box, 520)
const width = computed(() => (props.tall ? drawn.value : 150))
const pad = computed(() => (props.tall ? 12 : 4))
const top = computed(() => (props.tall ? 10 : 6))
const height = computed(() => (props.tall ? 84 : 34))
const middle = computed(() => (props.tall ? 34 : 17))
const span = computed(() => {
  const low = props.min ?? 0
  const high = props.max ?? 1
  const reach = (high - low) * 2
  const values = [props.found, props.left, props.expected, props.lower, props.upper, ...props.tried].filter(
    (v): v is number => v !== null && v !== undefined && v < high + 4 * reach,
  )
  const from = Math.max(0, Math.min(low - reach * 0.75, ...values) - reach * 0.05)
  return { from, to: Math.max(high + reach * 0.75, ...values) + reach * 0.05 }
})
/** In the unit shown, so that its ticks fall on round figures of that unit. */
const scale = computed(() =>
  scaleLinear(
    [figures.scaled(span.value.from), figures.scaled(span.value.to)],
    [pad.value, width.value - pad.value],
  ).clamp(true),
)
const x = (v: number) => scale.value(figures.scaled(v))
const ticks = computed(() => {
  const named = new Set(scale.value.ticks(4).map((v) => v.toFixed(4)))
  return scale.value.ticks(20).map((v) => ({ v, at: scale.value(v), big: named.has(v.toFixed(4)) }))
})
const said = computed(() => {
  const parts = [props.label ?? 'clearance']
  if (props.left !== null && props.left !== undefined) parts.push(`left ${mm(props.left)} mm`)
  else if (props.found !== null && props.found !== undefined) parts.push(`found ${mm(props.found)} mm`)
  if (props.min !== null && props.min !== undefined && props.max)
    parts.push(`window ${mm(props.min)} to ${mm(props.max)} mm`)
  return parts.join(', ')
})
const tone = computed(() => (props.state === 'tight' || props.state === 'loose' ? props.state : 'ink'))
</script>

<template>
  <div ref="box">
    <svg class="strip" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="said" :class="`tone-${tone}`">
      <title>{{ said }}</title>
      <rect
        v-if="min !== null && min !== undefined && max"
        :x="x(min)"
        :y="top"
        :width="Math.max(2, x(max) - x(min))"
        :height="2 * (middle - top)"
        class="window"
      />
      <line :x1="pad" :x2="width - pad" :y1="middle" :y2="middle" class="scale" />
      <line
        v-for="tick in ticks"
        :key="tick.v"
        :x1="tick.at"
        :x2="tick.at"
        :y1="middle - (tick.big ? 6 : 3.5)"
        :y2="middle + (tick.big ? 6 : 3.5)"
        class="scale"
      />
      <template v-if="min !== null && min !== undefined && max">
        <line :x1="x(min)" :x2="x(min)" :y1="top" :y2="2 * middle - top" class="limit" />
        <line :x1="x(max)" :x2="x(max)" :y1="top" :y2="2 * middle - top" class="limit" />
      </template>
      <path
        v-if="set !== null && set !== undefined"
        :d="`M ${x(set)} ${2 * middle - top - 1} l 5 8 h -10 z`"
        class="target"
      />
      <path
        v-if="expected !== null && expected !== undefined"
        :d="`M ${x(expected)} ${middle - 8} l 5 8 l -5 8 l -5 -8 z`"
        class="expected"
      />
      <line
        v-if="lower !== null && lower !== undefined && upper !== null && upper !== undefined && upper > lower"
        :x1="x(lower)"
        :x2="x(upper)"
        :y1="middle"
        :y2="middle"
        class="bracket"
      />
      <line
        v-else-if="upper !== null && upper !== undefined && (found === null || found === undefined)"
        :x1="pad"
        :x2="x(upper)"
        :y1="middle"
        :y2="middle"
        class="bracket"
      />
      <line
        v-else-if="lower !== null && lower !== undefined && (found === null || found === undefined)"
        :x1="x(lower)"
        :x2="width - pad"
        :y1="middle"
        :y2="middle"
        class="bracket"
      />
      <circle
        v-if="found !== null && found !== undefined"
        :cx="x(found)"
        :cy="middle"
        :r="tall ? 6.5 : 4.5"
        class="found"
      />
      <path
        v-for="(gap, i) in tried"
        :key="`tried ${i}`"
        :d="`M ${x(gap) - 5} ${middle - 5} l 10 10 m 0 -10 l -10 10`"
        class="tried"
      />
      <circle v-if="left !== null && left !== undefined" :cx="x(left)" :cy="middle" :r="tall ? 6 : 4.5" class="left" />
      <g v-if="tall" class="labels">
        <text v-for="tick in ticks.filter((t) => t.big)" :key="`l${tick.v}`" :x="tick.at" :y="height - 8">
          {{ figures.unit === 'mm' ? tick.v.toFixed(2) : tick.v }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.strip {
  width: 100%;
  display: block;
  overflow: visible;
}
.scale {
  stroke: var(--ring);
  stroke-width: 1.2;
}
.window {
  fill: var(--blue-wash);
}
.limit {
  stroke: var(--blue);
  stroke-width: 2;
}
.target {
  fill: var(--blue);
}
.expected {
  fill: none;
  stroke: var(--ink-soft);
  stroke-dasharray: 2 2;
}
.found {
  fill: var(--plate);
  stroke: var(--tone);
  stroke-width: 2.6;
}
.left {
  fill: var(--tone);
}
.tried {
  stroke: var(--ink-soft);
  stroke-width: 2.4;
}
.bracket {
  stroke: var(--tone);
  stroke-width: 3.4;
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
.labels text {
  font-family: var(--mono);
  font-size: 12.5px;
  fill: var(--ink-soft);
  text-anchor: middle;
}
</style>
