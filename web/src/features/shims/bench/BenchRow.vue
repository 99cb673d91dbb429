<script setup lang="ts">
import { computed } from 'vue'
import { useFigures } from '../../../shared/figures/useFigures'
import { inches, size } from '../../../shared/words/shims'
import BenchGap from './BenchGap.vue'
import ShimPlate from './ShimPlate.vue'
import type { Bench, BenchPoint } from './useBench'

/** One point: the shim that is there, the one it gets and from where, its gap. */
const props = defineProps<{
  point: BenchPoint
  bench: Bench
  span: { from: number; to: number }
  perMm: number
  picked: boolean
  over: boolean
}>()
defineEmits<{ pick: []; take: [event: PointerEvent, mm: number] }>()
const figures = useFigures()
/** As the engine's book counts: 2.70, or 0.1063 where it speaks of thou. */
const said = (mm: number) =>
  props.bench.engines.find((e) => e.visitId === props.point.visitId)?.unit === 'thou'
    ? inches(mm).replace(' in', '')
    : size(mm)
const moves = computed(() => !!props.point.from && props.point.from !== 'own')
const gap = computed(() => {
  const { gapFromMm: from, gapToMm: to, gapMm } = props.point
  if (from != null && to != null)
    return gapMm === from ? figures.figure(from) : `${figures.figure(from)}–${figures.figure(to)}`
  if (to != null) return `< ${figures.figure(to)}`
  return from != null ? `> ${figures.figure(from)}` : '—'
})
const tone = computed(() => ({ tight: 'is-tight', loose: 'is-loose' })[props.point.state as string] ?? '')
const comes = computed(() => {
  const { from, fromPoint, drawerId } = props.point
  if (from === 'buy') return 'to buy'
  if (from === 'stock') return props.bench.drawers.find((d) => d.id === drawerId)?.name ?? 'the drawer'
  return `from ${fromPoint!.replace(/^.* (?=\d)/, '')}`
})
const short: Record<string, string> = {
  notMeasured: 'measure its gap',
  notJudged: 'no gap in the book',
  closedUp: 'closed up: a thinner one first',
  measureOn: 'measure on',
  shimUnknown: 'measure its shim first',
}
</script>

<template>
  <div
    class="row"
    role="row"
    :data-point="point.id"
    :data-takes="point.standing === 'placed' ? point.id : undefined"
    :class="{ moves, picked, over }"
    @click="$emit('pick')"
  >
    <span role="rowheader"
      ><button type="button" class="name" :aria-pressed="picked" @click.stop="$emit('pick')">
        {{ point.label
        }}<span v-if="point.pinned" class="pin" title="chosen by hand" aria-label="chosen by hand">●</span>
      </button></span
    >
    <span class="now" role="cell">
      <template v-if="point.fittedMm != null">
        <span
          :class="{ grab: point.standing === 'placed' }"
          @pointerdown="point.standing === 'placed' && $emit('take', $event as PointerEvent, point.fittedMm)"
          ><ShimPlate :mm="point.fittedMm" :per-mm="perMm" :look="moves ? 'leaves' : 'stays'" /></span
        ><span class="figure">{{ said(point.fittedMm) }}</span>
      </template>
      <span v-else class="soft small">not known</span>
    </span>
    <span role="presentation" />
    <span class="to" role="cell">
      <template v-if="point.standing !== 'placed'"
        ><span class="small ask">{{ short[point.standing] }}</span></template
      >
      <span v-else-if="!moves" class="small" :class="point.short ? 'ask' : 'soft'">{{
        point.short ? 'nothing fits' : 'stays'
      }}</span>
      <template v-else>
        <ShimPlate :mm="point.shimMm!" :per-mm="perMm" :look="point.from === 'buy' ? 'bought' : 'fits'" />
        <span class="figure">{{ said(point.shimMm!) }}</span>
        <span class="small soft from">{{ comes }}</span>
      </template>
    </span>
    <span role="cell" class="strip"><BenchGap :point="point" :from="span.from" :to="span.to" /></span>
    <span role="cell" class="figure text-end" :class="tone">{{ gap }}</span>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--columns);
  align-items: center;
  gap: 0;
  height: var(--row);
  border-bottom: 1px solid var(--hairline);
  cursor: pointer;
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
.strip {
  padding: 0 0.6rem;
}
@media (max-width: 640px) {
  .strip,
  .plate-svg {
    display: none;
  }
}
</style>
