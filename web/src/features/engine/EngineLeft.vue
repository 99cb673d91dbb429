<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import Loaded from '../../shared/loaded/Loaded.vue'
import { begun } from '../../shared/words/odds'
import { kindWord } from '../../shared/words/points'
import { size } from '../../shared/words/shims'
import SeatsUp from './SeatsUp.vue'
import ShimsLeft from './ShimsLeft.vue'

/** How far the seats of each head have come up since build, and how much adjustment is left: shims to the end of their series, screws to that of their thread. */
const props = defineProps<{ engineId: string }>()
const figures = useFigures()
const query = useQuery(() => queries.engineLeft(props.engineId))
const heads = computed(() => {
  const data = query.data.value
  return (data?.heads ?? []).map((h) => ({
    ...h,
    points: data!.points.filter((p) => p.bank === h.bank && p.kind === h.kind),
    since: data!.points.find((p) => p.point === h.mostRecededPoint)?.since,
  }))
})
const many = computed(() => new Set(heads.value.map((h) => h.bank)).size > 1)
const round = (h: number) => hours(Math.round(h / 100) * 100)
/** Longer than anything runs is not worth its digits. */
const longest = 60_000
function left(h: Schemas['HeadLeft'], data: Schemas['AdjustmentLeftOfEngine']): string {
  if (h.hours?.middle == null || h.firstOutPoint == null)
    return data.access == null && data.screwFreeMm == null
      ? 'How much thread is left nobody has measured yet: the Book keeps it with what the job takes.'
      : 'Nothing drifts that would use it up.'
  const what =
    data.access == null ? 'of thread' : `of shim, to the ${h.towards === 'thinnest' ? 'thinnest' : 'thickest'},`
  const at = `${figures.withUnit(h.leftMm)} ${what} left at ${h.firstOutPoint}`
  if (h.hours.middle > longest) return `${at}: more hours than it will run.`
  const late = h.hours.late == null || h.hours.late > longest ? 'no end' : round(h.hours.late)
  return `${at}: about ${round(h.hours.middle)} h (${round(h.hours.early ?? 0)} to ${late}).`
}
const recession = (h: Schemas['HeadLeft'], since?: string | null) =>
  h.recessionMm > 0.005
    ? `valve recession ${figures.withUnit(h.recessionMm)} since ${day(since)} (${h.mostRecededPoint})`
    : `no valve recession since ${day(since)}`
</script>

<template>
  <section class="plate p-3" aria-label="Left in the head">
    <Loaded v-slot="{ data }" :query="query" what="record of what is left" part>
      <h2>Left in {{ many ? 'these heads' : 'this head' }}</h2>
      <p v-if="!heads.length" class="small soft mb-0">
        {{
          data.access == null
            ? 'Needs two visits before wear is known.'
            : 'No visit has told both shim and gap of a point yet.'
        }}
      </p>
      <div v-for="h in heads" :key="`${h.bank} ${h.kind}`" class="mb-2">
        <p class="small mb-1">
          <strong>{{ begun(`${many ? `head ${h.bank + 1}, ` : ''}${kindWord(h.kind)}`) }}:</strong>
          {{ recession(h, h.since) }}. {{ left(h, data) }}
        </p>
        <ShimsLeft
          v-if="data.thinnestMm != null && data.thickestMm != null"
          :points="h.points.filter((p) => p.shimMm != null)"
          :thinnest="data.thinnestMm"
          :thickest="data.thickestMm"
        />
        <SeatsUp v-else :points="h.points" :free="data.screwFreeMm" />
      </div>
      <details v-if="heads.length" class="small mt-2">
        <summary>Point by point</summary>
        <table class="ledger small">
          <thead>
            <tr>
              <th scope="col">Point</th>
              <th v-if="data.access != null" scope="col">Shim</th>
              <th scope="col">Up</th>
              <th scope="col">Left</th>
              <th scope="col">Hours</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in data.points" :key="p.point">
              <th scope="row">{{ p.point }}</th>
              <td v-if="data.access != null" class="figure">{{ p.shimMm != null ? size(p.shimMm) : '—' }}</td>
              <td class="figure">{{ figures.figure(p.recessionMm) }}</td>
              <td class="figure">{{ figures.figure(p.leftMm) }}</td>
              <td class="figure">
                {{ p.hours?.middle == null ? '—' : p.hours.middle > longest ? 'no end' : round(p.hours.middle) }}
              </td>
            </tr>
          </tbody>
        </table>
      </details>
    </Loaded>
  </section>
</template>

<style scoped>
table.ledger th,
table.ledger td {
  padding: 0.2rem 0.4rem !important;
}
</style>
