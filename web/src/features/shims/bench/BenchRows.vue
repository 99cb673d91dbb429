<script setup lang="ts">
import { computed } from 'vue'
import { useFigures } from '../../../shared/figures/useFigures'
import BenchRow from './BenchRow.vue'
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
        <h3 v-if="line.engine" class="engine">{{ line.engine }}</h3>
        <BenchRow
          v-else-if="line.point"
          :point="line.point"
          :bench="bench"
          :span="span"
          :per-mm="perMm"
          :picked="line.point.id === picked"
          :over="over === line.point.id"
          @pick="$emit('pick', line.point.id)"
          @take="(event, mm) => $emit('take', event, mm)"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.rows {
  --columns: 84px 156px 46px 252px minmax(110px, 1fr) 112px;
}
.head {
  display: grid;
  grid-template-columns: var(--columns);
  align-items: center;
  font-size: 0.86rem;
  color: var(--ink-soft);
  padding-bottom: 0.3rem;
}
.lines {
  position: relative;
}
.engine {
  display: flex;
  height: var(--row);
  font-size: 1rem;
  margin: 0;
  align-items: end;
  padding-bottom: 0.2rem;
  border-bottom: 1px solid var(--hairline);
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
@media (max-width: 1000px) {
  .rows {
    --columns: 74px 144px 30px 210px minmax(60px, 1fr) 100px;
  }
  .swaps {
    left: 218px;
    width: 30px;
  }
}
@media (max-width: 640px) {
  .rows {
    --columns: 66px 74px 0 minmax(0, 1fr) 0 58px;
  }
  .swaps {
    display: none;
  }
}
</style>
