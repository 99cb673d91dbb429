<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import type { Schemas } from '../../api/client'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import { chance } from '../../shared/words/odds'
import { verdictWords } from '../../shared/words/verdicts'

// The drawing comes when a point is looked at; the yard needs none of it.
const ClearanceChart = defineAsyncComponent(() => import('../../instruments/ClearanceChart.vue'))

const props = defineProps<{
  point: Schemas['EnginePointResponse']
  points: Schemas['EnginePointResponse'][]
  totalHours: number
  /** The chance at which a point's own hours are given. */
  risk: number
}>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures()

const sentence = computed(() => {
  const p = props.point
  const found =
    p.standing === 'tight' || p.standing === 'loose' ? `Found ${verdictWords[p.standing]}; waits to be set. ` : ''
  if (!p.rate) return found + (p.series.length ? 'Too few readings for a rate.' : 'Never measured.')
  const way = p.rate.mmPer1000h < 0 ? 'Closing' : 'Opening'
  const rate = `${way} ${figures.rate(p.rate.mmPer1000h)} ± ${figures.rate(p.rate.standardErrorMmPer1000h)} ${figures.unit} a 1000 h${p.unlikeSiblings ? ', unlike its siblings' : ''}.`
  const ahead =
    found || p.hoursToRisk == null || !p.side
      ? ''
      : p.hoursToRisk > 0
        ? ` ${chance(props.risk)} that it is ${p.side} in ${hours(p.hoursToRisk)} h.`
        : ` More than ${chance(props.risk)} that it is already ${p.side}.`
  return found + rate + ahead
})
const series = computed(() =>
  props.point.series.map((s) => ({ ...s, foundMm: s.foundMm ?? null, leftMm: s.leftMm ?? null })),
)
</script>

<template>
  <section class="plate p-3" aria-label="Clearance against engine hours">
    <div class="d-flex align-items-baseline gap-3 flex-wrap">
      <h2>{{ point.label }} against engine hours</h2>
      <span class="soft small">{{ sentence }}</span>
      <label class="ms-auto small soft">
        point
        <select
          class="form-select d-inline-block w-auto ms-1"
          :value="point.label"
          @change="$emit('pick', ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="p in points" :key="p.id" :value="p.label">{{ p.label }}</option>
        </select>
      </label>
    </div>
    <ClearanceChart
      v-if="series.length"
      class="mt-1"
      :series="series"
      :fan="point.fan"
      :total-hours="totalHours"
      :min-mm="point.minMm"
      :max-mm="point.maxMm"
      :figures="figures"
      :label="`${point.label}: ${sentence}`"
    />
    <p v-else class="mt-2 mb-0">No reading yet. The first visit draws the first point.</p>
  </section>
</template>
