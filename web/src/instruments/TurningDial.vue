<script setup lang="ts">
import { arc as drawArc } from 'd3-shape'
import { computed } from 'vue'

/** One whole cycle drawn as a ring, forwards clockwise: each cylinder where it fires, the needle where the crank is, a dashed arrow to where it goes next. */
const props = defineProps<{
  cycle: number
  order: number[]
  angles: number[]
  crank?: number | null
  next?: number | null
  roomBack?: number | null
  roomForward?: number | null
  caption?: string
}>()

const cx = 150
const cy = 146
const ring = 118
const inner = 92
const mid = (ring + inner) / 2
const point = (deg: number, r: number) => {
  const a = (deg / props.cycle) * 2 * Math.PI - Math.PI / 2
  return { x: cx + r * Math.cos(a), y: cy + r * Math.sin(a) }
}
/** A stretch of the ring as one line forwards: the outer half of d3's annular sector of no width. */
function arc(from: number, length: number, r: number) {
  const angle = (deg: number) => (deg / props.cycle) * 2 * Math.PI
  const sector = drawArc()({ innerRadius: r, outerRadius: r, startAngle: angle(from), endAngle: angle(from + length) })
  return /^M[^A]+A[^A]+/.exec(sector ?? '')?.[0].replace(/[LZ].*$/, '') ?? ''
}
const room = computed(() => {
  if (props.crank === null || props.crank === undefined || !props.roomBack || !props.roomForward) return null
  const back = Math.min(props.roomBack, props.cycle / 2.2)
  const forward = Math.min(props.roomForward, props.cycle / 2.2)
  return arc(props.crank - back, back + forward, mid)
})
const turn = computed(() => {
  if (props.crank === null || props.crank === undefined || props.next === null || props.next === undefined) return null
  const degrees = (props.next - props.crank + props.cycle) % props.cycle
  return degrees < 1 ? null : { degrees, path: arc(props.crank + degrees * 0.12, degrees * 0.76, 66) }
})
const tip = computed(() => (props.crank === null || props.crank === undefined ? null : point(props.crank, inner - 4)))
const here = (angle: number) =>
  props.crank !== null && props.crank !== undefined && Math.abs(angle - props.crank) < 1e-3
const rocking = (angle: number) =>
  props.cycle === 720 &&
  props.crank !== null &&
  props.crank !== undefined &&
  Math.abs(Math.abs(angle - props.crank) - 360) < 1e-3
const size = computed(() => (props.order.length > 12 ? 13 : props.order.length > 8 ? 15 : 17))
</script>

<template>
  <svg class="dial" viewBox="0 0 300 292" role="img" :aria-label="caption ?? 'Turning dial'">
    <defs>
      <marker id="dial-arrow" viewBox="0 0 10 10" refX="6" refY="5" markerWidth="9" markerHeight="9" orient="auto">
        <path d="M 0 0 L 10 5 L 0 10 z" fill="var(--ink-soft)" />
      </marker>
    </defs>
    <circle :cx="cx" :cy="cy" :r="mid" class="ring" :stroke-width="ring - inner" />
    <path v-if="room" :d="room" class="room" :stroke-width="ring - inner" :transform="`translate(${cx}, ${cy})`" />
    <line v-if="tip" :x1="cx" :y1="cy" :x2="tip.x" :y2="tip.y" class="needle" />
    <circle :cx="cx" :cy="cy" r="6" class="hub" />
    <template v-if="turn">
      <path :d="turn.path" class="turn" marker-end="url(#dial-arrow)" :transform="`translate(${cx}, ${cy})`" />
      <text :x="cx" :y="cy + 30" class="turn-text">next: {{ Math.round(turn.degrees) }}°</text>
    </template>
    <g
      v-for="(cylinder, i) in order"
      :key="cylinder"
      :class="{ on: here(angles[i] ?? 0), rocks: rocking(angles[i] ?? 0) }"
    >
      <circle :cx="point(angles[i] ?? 0, mid).x" :cy="point(angles[i] ?? 0, mid).y" :r="size" class="cylinder" />
      <text
        :x="point(angles[i] ?? 0, mid).x"
        :y="point(angles[i] ?? 0, mid).y + size * 0.36"
        :font-size="Math.max(15, size * 1.05)"
      >
        {{ cylinder }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.dial {
  width: 100%;
  display: block;
}
.ring {
  fill: none;
  stroke: var(--ring);
}
.room {
  fill: none;
  stroke: var(--blue-wash);
}
.needle {
  stroke: var(--blue);
  stroke-width: 3;
}
.hub {
  fill: var(--blue);
}
.turn {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.6;
  stroke-dasharray: 4 4;
}
.turn-text {
  text-anchor: middle;
  font-size: 17px;
  fill: var(--ink-soft);
}
.cylinder {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.4;
}
g text {
  text-anchor: middle;
  font-weight: 700;
  fill: var(--ink);
}
.on .cylinder {
  fill: var(--blue);
  stroke: var(--blue);
}
.on text {
  fill: var(--on-blue);
}
.rocks .cylinder {
  stroke-width: 3.4;
  stroke-dasharray: 5 3;
}
</style>
