<script setup lang="ts">
import { computed, useId } from 'vue'
import { crankPath } from './crankPath'

/**
 * The crank as it turns: one lap drawn is one turn, a four-stroke cycle two laps of a spiral, seen from the end where it is barred and turning the
 * way it is barred. Each cylinder stands where it is on compression; beside it on the other lap stands the one that rocks then.
 */
const props = defineProps<{
  cycle: number
  order: number[]
  angles: number[]
  /** Where the crank stands. */
  crank?: number | null
  /** The stop it goes to next. */
  next?: number | null
  roomBack?: number | null
  roomForward?: number | null
  nextRoomBack?: number | null
  nextRoomForward?: number | null
  anticlockwise?: boolean
  caption?: string
}>()

const arrow = useId()
const size = 460
const middle = size / 2
const laps = computed(() => props.cycle / 360)
const lap = computed(() => (laps.value > 1 ? 54 : 0))
const inner = computed(() => (laps.value > 1 ? 98 : 150))
const wide = 34
const path = computed(() => crankPath(middle, middle + 8, inner.value, lap.value, props.anticlockwise ?? false))
const dot = computed(() => (props.order.length > 12 ? 17 : props.order.length > 8 ? 20 : 23))

/** A room as stretches of the cycle: what reaches over its end goes on at its beginning. */
function stretches(at?: number | null, back?: number | null, forward?: number | null): [number, number][] {
  if (at == null || !back || !forward) return []
  const [from, to] = [at - Math.min(back, props.cycle / 2.2), at + Math.min(forward, props.cycle / 2.2)]
  const parts: [number, number][] = [[Math.max(0, from), Math.min(props.cycle, to)]]
  if (from < 0) parts.push([props.cycle + from, props.cycle])
  if (to > props.cycle) parts.push([0, to - props.cycle])
  return parts
}
const rooms = computed(() => [
  ...stretches(props.next, props.nextRoomBack, props.nextRoomForward).map((s) => ({ s, kind: 'room then' })),
  ...stretches(props.crank, props.roomBack, props.roomForward).map((s) => ({ s, kind: 'room' })),
])
const same = (a?: number | null, b?: number | null) =>
  a != null && b != null && Math.abs(((((a - b) % props.cycle) + props.cycle + 1) % props.cycle) - 1) < 1e-3
const turn = computed(() => {
  if (props.crank == null || props.next == null) return null
  const degrees = (props.next - props.crank + props.cycle) % props.cycle
  if (degrees < 1) return null
  const end = props.crank + degrees
  // Inside the first lap or on its own lap's inner rim, stopping short of the marks at both ends.
  return {
    degrees,
    line: path.value.line(props.crank + Math.min(10, degrees / 4), end - Math.min(12, degrees / 4), -(wide / 2 + 8)),
  }
})
const needle = computed(() => (props.crank == null ? null : path.value.turned(props.crank)))
</script>

<template>
  <svg class="crank-dial" :viewBox="`0 0 ${size} ${size}`" role="img" :aria-label="caption ?? 'The crank'">
    <defs>
      <marker :id="arrow" viewBox="0 0 10 10" refX="7" refY="5" markerWidth="8" markerHeight="8" orient="auto">
        <path d="M 0 0 L 10 5 L 0 10 z" fill="var(--blue)" />
      </marker>
    </defs>
    <path :d="path.line(0, cycle)" class="lap" :stroke-width="wide" />
    <path v-for="(room, i) in rooms" :key="i" :d="path.line(...room.s)" :class="room.kind" :stroke-width="wide" />
    <path v-if="turn" :d="turn.line" class="turn" :marker-end="`url(#${arrow})`" />
    <g v-if="needle !== null" class="needle" :style="{ transform: `rotate(${needle}deg)` }">
      <line :x1="middle" :x2="middle" :y1="middle + 8 - 46" :y2="middle + 8 - inner + wide / 2 + 14" />
    </g>
    <circle :cx="middle" :cy="middle + 8" r="58" class="pulley" />
    <g v-if="needle !== null" class="needle mark" :style="{ transform: `rotate(${needle}deg)` }">
      <line :x1="middle" :x2="middle" :y1="middle + 8 - 58" :y2="middle + 8 - 30" />
    </g>
    <circle :cx="middle" :cy="middle + 8" r="4" class="hub" />
    <g
      v-for="(cylinder, i) in order"
      :key="cylinder"
      :class="{ on: same(angles[i], crank), then: same(angles[i], next) && !same(angles[i], crank) }"
    >
      <circle
        v-if="same(angles[i], next) && !same(angles[i], crank)"
        :cx="path.at(angles[i] ?? 0).x"
        :cy="path.at(angles[i] ?? 0).y"
        :r="dot + 5"
        class="coming"
      />
      <circle :cx="path.at(angles[i] ?? 0).x" :cy="path.at(angles[i] ?? 0).y" :r="dot" class="cylinder" />
      <text :x="path.at(angles[i] ?? 0).x" :y="path.at(angles[i] ?? 0).y + 9" :font-size="25">
        {{ cylinder }}
      </text>
    </g>
    <circle
      v-if="next != null && !angles.some((a) => same(a, next)) && !same(crank, next)"
      :cx="path.at(next).x"
      :cy="path.at(next).y"
      r="9"
      class="coming"
    />
    <circle
      v-if="crank != null && !angles.some((a) => same(a, crank))"
      :cx="path.at(crank).x"
      :cy="path.at(crank).y"
      r="8"
      class="hub"
    />
  </svg>
</template>

<style scoped>
.crank-dial {
  width: 100%;
  display: block;
}
.lap {
  fill: none;
  stroke: var(--ring);
}
.room {
  fill: none;
  stroke: var(--blue-wash);
}
.room.then {
  opacity: 0.55;
}
.needle {
  transform-origin: 230px 238px;
  transition: transform 0.6s;
}
@media (prefers-reduced-motion: reduce) {
  .needle {
    transition: none;
  }
}
.needle line {
  stroke: var(--ink);
  stroke-width: 2;
}
.mark line {
  stroke-width: 6;
}
.pulley {
  fill: none;
  stroke: var(--line);
}
.hub {
  fill: var(--ink);
}
.turn {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.4;
  stroke-dasharray: 7 5;
}
.coming {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.4;
  stroke-dasharray: 5 4;
}
.cylinder {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.6;
}
g text {
  text-anchor: middle;
  font-weight: 700;
  fill: var(--ink);
}
.on .cylinder {
  fill: var(--blue);
  stroke: var(--ink);
}
.on text {
  fill: var(--on-blue);
}
</style>
