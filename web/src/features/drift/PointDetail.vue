<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import ClearanceChart from '../../instruments/ClearanceChart.vue'
import type { SeriesMark } from '../../instruments/clearanceSeries'
import { hours } from '../../shared/figures/hours'
import type { Figures } from '../../shared/figures/useFigures'
import { rateText } from '../../shared/words/drift'
import { chance, odds } from '../../shared/words/odds'
import { spoken } from '../../shared/words/points'
import { seriesOf } from './driftSeries'

/** One point large: every mark says what it is, who measured and where its record lies. */
const props = defineProps<{
  drift: Schemas['EngineDriftResponse']
  point: Schemas['DriftPoint']
  figures: Figures
  stretch: [number, number] | null
  dates: { today: string; hoursPerWeek: number } | null
  sisters: boolean
  name: (id?: string | null) => string
}>()
const mark = ref<SeriesMark | null>(null)
watch(
  () => props.point.label,
  () => (mark.value = null),
)
const usual = computed(() => props.drift.kinds.find((k) => k.kind === props.point.kind)?.mmPer1000h ?? null)
const said = computed(() => {
  const p = props.point
  const parts = [rateText(p, props.figures)]
  if (usual.value != null && p.mmPer1000h != null) parts.push(`usual for its kind ${props.figures.rate(usual.value)}`)
  if (p.fastProbability > 0.05) parts.push(`${chance(p.fastProbability)} that it is a fast one`)
  if (p.hoursToRisk != null && p.standing !== 'tight' && p.standing !== 'loose')
    parts.push(
      p.hoursToRisk > 0
        ? `${odds(props.drift.risk)} ${p.side} in ${hours(p.hoursToRisk)} h`
        : `over ${odds(props.drift.risk)} ${p.side} already`,
    )
  return parts.filter(Boolean).join('; ')
})
const aim = computed(() =>
  props.point.aimMm != null && (props.point.aimGainHours ?? 0) >= 100
    ? `Left at ${props.figures.withUnit(props.point.aimMm)} instead of ${props.figures.figure(props.point.setMm)} it would last ${hours(props.point.aimGainHours!)} h longer.`
    : '',
)
</script>

<template>
  <section class="plate p-3" :aria-label="`${spoken(point)} in detail`">
    <div class="d-flex align-items-baseline gap-3 flex-wrap">
      <h2>{{ spoken(point) }}</h2>
      <span class="soft small">{{ said }}</span>
    </div>
    <ClearanceChart
      v-if="point.visits.length"
      :series="seriesOf(drift, point, name)"
      :fan="point.fan"
      :total-hours="drift.totalHours"
      :min-mm="point.minMm"
      :max-mm="point.maxMm"
      :figures="figures"
      :label="`${point.label}: ${said}`"
      :stretch="stretch"
      :dates="dates"
      :windows="point.specs"
      :usual="sisters ? usual : null"
      @tell="mark = $event"
    />
    <p v-else class="mt-2 mb-0">Not measured yet.</p>
    <p v-if="mark?.visitId" class="mb-0 mt-1">
      <RouterLink :to="{ name: 'record', params: { id: mark.visitId } }">The record of that visit</RouterLink>
    </p>
    <p v-if="aim" class="small mb-0 mt-1">{{ aim }}</p>
  </section>
</template>
