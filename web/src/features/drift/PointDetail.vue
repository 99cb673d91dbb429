<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import ClearanceChart from '../../instruments/ClearanceChart.vue'
import type { SeriesMark } from '../../instruments/clearanceSeries'
import { hours } from '../../shared/figures/hours'
import { rateText, usualOf } from '../../shared/words/drift'
import { chance } from '../../shared/words/odds'
import { spoken } from '../../shared/words/points'
import { drawingOf, type DriftLook } from './drawingOf'

/** One point large: every mark says what it is, who measured and where its record lies. */
const props = defineProps<{ look: DriftLook; point: Schemas['EngineDriftPointResponse'] }>()
const figures = computed(() => props.look.figures)
const mark = ref<SeriesMark | null>(null)
watch(
  () => props.point.label,
  () => (mark.value = null),
)
const said = computed(() => {
  const p = props.point
  const parts = [rateText(p, figures.value)]
  const usual = usualOf(props.look.drift, p)
  if (usual != null && p.mmPer1000h != null) parts.push(`usual for its kind ${figures.value.rate(usual)}`)
  if (p.fastProbability > 0.05) parts.push(`${chance(p.fastProbability)} that it is a fast one`)
  if (p.hoursToRisk != null && p.standing !== 'tight' && p.standing !== 'loose')
    parts.push(
      p.hoursToRisk > 0
        ? `${chance(props.look.drift.risk)} ${p.side} in ${hours(p.hoursToRisk)} h`
        : `more than ${chance(props.look.drift.risk)} already ${p.side}`,
    )
  return parts.filter(Boolean).join('; ')
})
const aim = computed(() =>
  props.point.aimMm != null && (props.point.aimGainHours ?? 0) >= 100
    ? `Left at ${figures.value.withUnit(props.point.aimMm)} instead of ${figures.value.figure(props.point.setMm)} it would give the engine about ${hours(props.point.aimGainHours!)} h more.`
    : '',
)
</script>

<template>
  <section class="plate p-3" :aria-label="`${spoken(point)} in detail`">
    <div class="d-flex align-items-baseline gap-3 flex-wrap">
      <h2>{{ spoken(point) }}</h2>
      <span class="soft small">{{ said }}</span>
    </div>
    <ClearanceChart v-if="point.visits.length" v-bind="drawingOf(look, point, said)" @tell="mark = $event" />
    <p v-else class="mt-2 mb-0">Not measured yet.</p>
    <p v-if="mark?.visitId" class="mb-0 mt-1">
      <RouterLink :to="{ name: 'record', params: { id: mark.visitId } }">The record of that visit</RouterLink>
    </p>
    <p v-if="aim" class="small mb-0 mt-1">{{ aim }}</p>
  </section>
</template>
