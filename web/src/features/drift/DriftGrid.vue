<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { banksOf } from '../../instruments/banksOf'
import ClearanceChart from '../../instruments/ClearanceChart.vue'
import StateMark from '../../instruments/StateMark.vue'
import { rateText } from '../../shared/words/drift'
import { drawingOf, type DriftLook } from './drawingOf'

/** Every point as a small drawing, laid out as the heads are. */
type Point = Schemas['EngineDriftPointResponse']
const props = defineProps<{ look: DriftLook; picked?: string }>()
defineEmits<{ pick: [label: string] }>()
const figures = computed(() => props.look.figures)
const banks = computed(() => banksOf(props.look.drift.points))
const stands = (p: Point) => (p.standing === 'tight' || p.standing === 'loose' ? p.standing : null)
const short = (p: Point) =>
  p.mmPer1000h == null ? '' : `${p.mmPer1000h < 0 ? 'closing' : 'opening'} ${figures.value.rate(p.mmPer1000h)}`
</script>

<template>
  <section aria-label="Every point along the engine’s life">
    <div class="d-flex justify-content-between small soft mb-1">
      <span class="caps">◂ Front</span>
      <span>{{ figures.unit }}; rates a 1000 h · press a point for its figures</span>
    </div>
    <div v-for="(bank, b) in banks" :key="b" class="bank" :style="{ '--columns': bank.length }">
      <div v-for="c in bank" :key="c.cylinder" class="cylinder">
        <div
          v-for="p in c.points"
          :key="p.label"
          class="plate point"
          :class="{ picked: p.label === picked, fast: p.unlikeSiblings }"
          :data-caption="`${p.label}  ${short(p)}`"
          data-drawing
        >
          <button
            type="button"
            class="name"
            :class="stands(p) ? `is-${stands(p)}` : ''"
            :aria-pressed="p.label === picked"
            @click="$emit('pick', p.label)"
          >
            <strong>{{ p.label }}</strong>
            <StateMark v-if="stands(p)" :state="stands(p)" :size="14" />
            <span class="small">{{ short(p) }}<template v-if="p.unlikeSiblings"> · unlike</template></span>
          </button>
          <ClearanceChart
            v-if="p.visits.length"
            compact
            v-bind="drawingOf(look, p, rateText(p, figures))"
            @click="$emit('pick', p.label)"
          />
          <p v-else class="small soft px-2 mb-2">never measured</p>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.bank {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(150px, 1fr));
  gap: 7px;
  margin-bottom: 12px;
  overflow-x: auto;
}
.cylinder {
  display: grid;
  gap: 7px;
  align-content: start;
  min-width: 0;
}
.point {
  min-width: 0;
  cursor: pointer;
}
.point.picked {
  box-shadow: inset 0 0 0 2px var(--ink);
}
.name {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  flex-wrap: wrap;
  width: 100%;
  min-height: 44px;
  padding: 0 0.6rem;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
}
.name .small {
  margin-left: auto;
}
.fast .name .small {
  font-weight: 700;
}
@media (max-width: 900px) {
  .bank {
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  }
}
@media print {
  .point {
    break-inside: avoid;
  }
}
</style>
