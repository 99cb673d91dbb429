<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { computed, useTemplateRef } from 'vue'
import { shortKind } from '../shared/words/points'
import { useDrawnWidth } from './useDrawn'

/** The cycle unrolled: every valve's open arc, and the stops across it with a ring where a point is set. */
const props = defineProps<{
  cycle: number
  arcs: { cylinder: number; kind: string; fromDeg: number; toDeg: number }[]
  stops: { crankDeg: number; set: { cylinder: number; kind: string }[] }[]
}>()

const box = useTemplateRef<HTMLElement>('box')
const drawn = useDrawnWidth(box, 634, 280)
const left = 54
const right = 20
const rowHeight = computed(() => (props.arcs.length > 16 ? 15 : 20))
const scale = computed(() => scaleLinear([0, props.cycle], [left, drawn.value - right]))
const rank = (kind: string) => ({ exhaust: 0, intake: 1 })[kind] ?? 2
const rows = computed(() => {
  const keys = new Map<string, { cylinder: number; kind: string; first: boolean }>()
  const sorted = [...props.arcs].sort((a, b) => a.cylinder - b.cylinder || rank(a.kind) - rank(b.kind))
  for (const arc of sorted) {
    const key = `${arc.cylinder}${arc.kind}`
    if (!keys.has(key))
      keys.set(key, {
        cylinder: arc.cylinder,
        kind: arc.kind,
        first: ![...keys.values()].some((k) => k.cylinder === arc.cylinder),
      })
  }
  let y = 34
  return [...keys.entries()].map(([key, row]) => {
    y += rowHeight.value + (row.first && y > 34 ? rowHeight.value * 0.5 : 0)
    return { key, ...row, y }
  })
})
const height = computed(() => (rows.value.at(-1)?.y ?? 40) + 44)
const x = (deg: number) => scale.value(deg)
const pieces = (row: { cylinder: number; kind: string }) =>
  props.arcs
    .filter((a) => a.cylinder === row.cylinder && a.kind === row.kind)
    .flatMap((a) =>
      a.toDeg <= props.cycle
        ? [[a.fromDeg, a.toDeg]]
        : [
            [a.fromDeg, props.cycle],
            [0, a.toDeg - props.cycle],
          ],
    ) as [number, number][]
const marks = computed(() => Array.from({ length: props.cycle / 180 + 1 }, (_, i) => i * 180))
</script>

<template>
  <div ref="box">
    <svg
      class="lift"
      :viewBox="`0 0 ${drawn} ${height}`"
      role="img"
      :aria-label="`Lift chart with ${stops.length} stops`"
    >
      <g v-for="row in rows" :key="row.key">
        <text
          v-if="row.first"
          x="8"
          :y="row.y + rowHeight * 0.7"
          class="cylinder"
          :font-size="rowHeight > 15 ? 15 : 12"
        >
          {{ row.cylinder }}
        </text>
        <text x="25" :y="row.y + 4" class="kind">{{ shortKind(row.kind) }}</text>
        <line :x1="left" :x2="drawn - right" :y1="row.y" :y2="row.y" class="line" />
        <rect
          v-for="(piece, i) in pieces(row)"
          :key="i"
          :x="x(piece[0])"
          :width="x(piece[1]) - x(piece[0])"
          :y="row.y - rowHeight * 0.28"
          :height="rowHeight * 0.56"
          :class="row.kind"
        />
      </g>
      <g v-for="(stop, i) in stops" :key="`s${i}`">
        <line :x1="x(stop.crankDeg)" :x2="x(stop.crankDeg)" y1="22" :y2="height - 26" class="stop" />
        <text
          :x="x(stop.crankDeg)"
          :y="stops.length > 8 && i % 2 ? 8 : 16"
          class="stop-name"
          :text-anchor="stop.crankDeg < 20 ? 'start' : 'middle'"
        >
          {{ stops.length > 6 || drawn < 500 ? i + 1 : `stop ${i + 1}` }}
        </text>
        <template v-for="row in rows" :key="`r${row.key}`">
          <circle
            v-if="stop.set.some((p) => p.cylinder === row.cylinder && p.kind === row.kind)"
            :cx="x(stop.crankDeg)"
            :cy="row.y"
            :r="rowHeight > 15 ? 6 : 4"
            class="set"
          />
        </template>
      </g>
      <text
        v-for="mark in marks.filter((m) => drawn > 400 || m % 360 === 0)"
        :key="`m${mark}`"
        :x="x(mark)"
        :y="height - 8"
        class="degrees"
      >
        {{ mark }}°
      </text>
    </svg>
  </div>
</template>

<style scoped>
.lift {
  width: 100%;
  display: block;
}
.line {
  stroke: var(--hairline);
}
.cylinder {
  font-weight: 700;
  fill: var(--ink);
}
.kind {
  font-family: var(--mono);
  font-size: 12px;
  fill: var(--ink-soft);
}
rect {
  fill: var(--ink-soft);
}
rect.intake {
  fill: var(--blue);
  opacity: 0.55;
}
rect.injector {
  fill: var(--line);
}
.stop {
  stroke: var(--blue);
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
}
.stop-name {
  font-size: 12.5px;
  font-weight: 700;
  fill: var(--blue);
}
.set {
  fill: var(--plate);
  stroke: var(--blue);
  stroke-width: 2.4;
}
.degrees {
  font-family: var(--mono);
  font-size: 12px;
  fill: var(--ink-soft);
  text-anchor: middle;
}
</style>
