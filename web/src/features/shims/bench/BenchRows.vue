<script setup lang="ts">
import { computed } from 'vue'
import { useFigures } from '../../../shared/figures/useFigures'
import { inches, size } from '../../../shared/words/shims'
import BenchGap from './BenchGap.vue'
import ShimPlate from './ShimPlate.vue'
import type { Bench, BenchPoint } from './useBench'

/** One row a point: the shim there, the shim it gets, what is swapped with what, and the gap before and after. A shim can be dragged onto a point. */
const props = defineProps<{ bench: Bench; picked: string; over: string }>()
defineEmits<{ pick: [id: string]; take: [event: PointerEvent, mm: number] }>()
const figures = useFigures()
const rowPx = 44

type Line = { engine: string; point?: undefined } | { engine?: undefined; point: BenchPoint }
const lines = computed((): Line[] =>
  props.bench.engines.flatMap((e) => [
    ...(props.bench.engines.length > 1 ? [{ engine: e.engine }] : []),
    ...props.bench.points.filter((p) => p.visitId === e.visitId).map((point) => ({ point })),
  ]),
)
const at = computed(() => new Map(lines.value.map((l, i) => [l.point?.id ?? `engine ${l.engine}`, i])))
/** All on one scale, so that what is wide looks wide beside what is narrow. */
const span = computed(() => {
  const mm = props.bench.points.flatMap((p) => [p.gapFromMm, p.gapToMm, p.predictedMm, p.minMm, p.maxMm])
  const known = mm.filter((v): v is number => v != null)
  const most = Math.max(0.1, ...known)
  return { from: Math.max(0, Math.min(...known, most) - 0.12 * most), to: most + 0.05 * most }
})
const perMm = computed(() => {
  const mm = props.bench.points.flatMap((p) => [p.fittedMm, p.shimMm]).filter((v): v is number => v != null)
  return 24 / Math.max(1, ...mm)
})
const swaps = computed(() =>
  props.bench.points
    .filter((p) => p.from === 'point')
    .map((p) => {
      const from = (at.value.get(p.fromPoint!)! + 0.5) * rowPx
      const to = (at.value.get(p.id)! + 0.5) * rowPx
      return { id: p.id, d: `M 0 ${from} C 34 ${from} 12 ${to} 46 ${to}` }
    }),
)
/** As the engine's book counts: 2.70, or 0.1063 where it speaks of thou. */
const said = (p: BenchPoint, mm: number) =>
  props.bench.engines.find((e) => e.visitId === p.visitId)?.unit === 'thou' ? inches(mm).replace(' in', '') : size(mm)
const moves = (p: BenchPoint) => !!p.from && p.from !== 'own'
const gap = (p: BenchPoint) =>
  p.gapFromMm != null && p.gapToMm != null
    ? p.gapToMm - p.gapFromMm > 1e-6
      ? `${figures.figure(p.gapFromMm)}–${figures.figure(p.gapToMm)}`
      : figures.figure(p.gapFromMm)
    : p.gapToMm != null
      ? `< ${figures.figure(p.gapToMm)}`
      : p.gapFromMm != null
        ? `> ${figures.figure(p.gapFromMm)}`
        : '—'
const tone = (p: BenchPoint) => {
  if (p.minMm == null || p.maxMm == null) return ''
  const mm = p.gapFromMm != null && p.gapToMm != null ? (p.gapFromMm + p.gapToMm) / 2 : (p.gapToMm ?? p.gapFromMm)
  return mm == null ? '' : mm < p.minMm - 1e-9 ? 'is-tight' : mm > p.maxMm + 1e-9 ? 'is-loose' : ''
}
const drawer = (p: BenchPoint) => props.bench.drawers.find((d) => d.id === p.drawerId)?.name ?? 'the drawer'
const comes = (p: BenchPoint) =>
  p.from === 'buy' ? 'to buy' : p.from === 'stock' ? drawer(p) : `from ${p.fromPoint!.replace(/^.* (?=\d)/, '')}`
const short: Record<string, string> = {
  notMeasured: 'measure its gap',
  notJudged: 'no gap in the book',
  closedUp: 'closed up: a thinner one first',
  measureOn: 'measure on',
  shimUnknown: 'measure its shim first',
}
</script>

<template>
  <div class="rows" :style="{ '--row': `${rowPx}px` }" role="table" aria-label="Points and their shims">
    <div class="head" role="row">
      <span role="columnheader">point</span><span role="columnheader">shim now</span><span role="presentation" />
      <span role="columnheader">shim to fit</span><span role="columnheader">gap: ring found, dot expected after</span>
      <span role="columnheader" class="text-end">{{ figures.unit }}</span>
    </div>
    <div class="lines">
      <svg
        class="swaps"
        :viewBox="`0 0 46 ${lines.length * rowPx}`"
        :style="{ height: `${lines.length * rowPx}px` }"
        aria-hidden="true"
      >
        <path v-for="s in swaps" :key="s.id" :d="s.d" :class="{ lit: s.id === picked }" />
      </svg>
      <template v-for="line in lines" :key="line.point?.id ?? line.engine">
        <h3 v-if="line.engine" class="row engine">{{ line.engine }}</h3>
        <div
          v-else-if="line.point"
          class="row"
          role="row"
          :data-point="line.point.id"
          :data-takes="line.point.standing === 'placed' ? line.point.id : undefined"
          :class="{
            moves: moves(line.point),
            picked: line.point.id === picked,
            over: over === line.point.id,
          }"
          @click="$emit('pick', line.point.id)"
        >
          <span role="rowheader"
            ><button
              type="button"
              class="name"
              :aria-pressed="line.point.id === picked"
              @click.stop="$emit('pick', line.point.id)"
            >
              {{ line.point.label
              }}<span v-if="line.point.pinned" class="pin" title="chosen by hand" aria-label="chosen by hand">●</span>
            </button></span
          >
          <span class="now" role="cell">
            <template v-if="line.point.fittedMm != null">
              <span
                :class="{ grab: line.point.standing === 'placed' }"
                @pointerdown="
                  line.point.standing === 'placed' && $emit('take', $event as PointerEvent, line.point.fittedMm)
                "
                ><ShimPlate
                  :mm="line.point.fittedMm"
                  :per-mm="perMm"
                  :look="moves(line.point) ? 'leaves' : 'stays'" /></span
              ><span class="figure">{{ said(line.point, line.point.fittedMm) }}</span>
            </template>
            <span v-else class="soft small">not known</span>
          </span>
          <span role="presentation" />
          <span class="to" role="cell">
            <template v-if="line.point.standing !== 'placed'"
              ><span class="small ask">{{ short[line.point.standing] }}</span></template
            >
            <span v-else-if="!moves(line.point)" class="small" :class="line.point.short ? 'ask' : 'soft'">{{
              line.point.short ? 'nothing fits' : 'stays'
            }}</span>
            <template v-else>
              <ShimPlate
                :mm="line.point.shimMm!"
                :per-mm="perMm"
                :look="line.point.from === 'buy' ? 'bought' : 'fits'"
              />
              <span class="figure">{{ said(line.point, line.point.shimMm!) }}</span>
              <span class="small soft from">{{ comes(line.point) }}</span>
            </template>
          </span>
          <span role="cell" class="strip"><BenchGap :point="line.point" :from="span.from" :to="span.to" /></span>
          <span role="cell" class="figure text-end" :class="tone(line.point)">{{ gap(line.point) }}</span>
        </div>
      </template>
    </div>
  </div>
</template>

<style scoped>
.head,
.row {
  display: grid;
  grid-template-columns: 84px 156px 46px 252px minmax(110px, 1fr) 112px;
  align-items: center;
  gap: 0;
}
.head {
  font-size: 0.86rem;
  color: var(--ink-soft);
  padding-bottom: 0.3rem;
}
.lines {
  position: relative;
}
.row {
  height: var(--row);
  border-bottom: 1px solid var(--hairline);
  cursor: pointer;
}
.row.engine {
  display: flex;
  font-size: 1rem;
  margin: 0;
  align-items: end;
  padding-bottom: 0.2rem;
  cursor: default;
}
.row.moves {
  background: color-mix(in srgb, var(--blue-wash) 38%, transparent);
}
.row.picked {
  box-shadow: inset 3px 0 0 var(--blue);
}
.row.over {
  outline: 2px solid var(--blue);
}
.name {
  border: 0;
  background: none;
  text-align: left;
  font-weight: 700;
  font-size: 1.02rem;
  padding: 0 0 0 0.5rem;
  min-height: 40px;
  color: var(--ink);
  white-space: nowrap;
}
.pin {
  color: var(--blue);
  font-size: 0.78rem;
  vertical-align: super;
}
.now,
.to {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.from {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.figure {
  white-space: nowrap;
}
.grab {
  cursor: grab;
  touch-action: none;
}
.ask {
  font-weight: 700;
}
.swaps {
  position: absolute;
  left: 240px;
  top: 0;
  width: 46px;
  pointer-events: none;
  overflow: visible;
}
.swaps path {
  fill: none;
  stroke: var(--blue);
  stroke-width: 1.8;
}
.swaps path.lit {
  stroke-width: 3.2;
}
.strip {
  padding: 0 0.6rem;
}
@media (max-width: 1000px) {
  .head,
  .row {
    grid-template-columns: 74px 144px 30px 210px minmax(60px, 1fr) 100px;
  }
  .swaps {
    left: 218px;
    width: 30px;
  }
}
@media (max-width: 640px) {
  .head,
  .row {
    grid-template-columns: 66px 74px 0 minmax(0, 1fr) 0 58px;
  }
  .swaps,
  .strip,
  .plate-svg {
    display: none;
  }
}
</style>
