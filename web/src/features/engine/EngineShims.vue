<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import Loaded from '../../shared/loaded/Loaded.vue'
import { begun, chance } from '../../shared/words/odds'
import { kindWord } from '../../shared/words/points'
import { size } from '../../shared/words/shims'
import ShimsLeft from './ShimsLeft.vue'

/** The engine's shims: how far the seats have come up, how much adjustment is left on each head, and what to carry to the next opening. */
const props = defineProps<{ engineId: string }>()
const figures = useFigures()
const shims = useQuery(() => queries.engineShims(props.engineId))
const heads = computed(() => {
  const data = shims.data.value
  return (data?.heads ?? []).map((h) => ({
    ...h,
    points: data!.points.filter((p) => p.bank === h.bank && p.kind === h.kind && p.shimMm != null),
    since: data!.points.find((p) => p.point === h.mostRecededPoint)?.since,
  }))
})
const many = computed(() => new Set(heads.value.map((h) => h.bank)).size > 1)
const round = (h: number) => hours(Math.round(h / 100) * 100)
/** Longer than anything runs is not worth its digits. */
const longest = 60_000
const left = (h: Schemas['HeadLeft']) => {
  if (h.hours?.middle == null || h.firstOutPoint == null) return 'Nothing drifts that would use it up.'
  const end = h.towards === 'thinnest' ? 'the thinnest' : 'the thickest'
  if (h.hours.middle > longest)
    return `${figures.withUnit(h.leftMm)} to ${end} at ${h.firstOutPoint}: more hours than it will run.`
  const late = h.hours.late == null || h.hours.late > longest ? 'no end' : round(h.hours.late)
  return `${figures.withUnit(h.leftMm)} of shim left to ${end} at ${h.firstOutPoint}: about ${round(h.hours.middle)} h (${round(h.hours.early ?? 0)} to ${late}).`
}
const seats = (h: Schemas['HeadLeft'], since?: string | null) =>
  h.recessionMm > 0.005
    ? `come up ${figures.withUnit(h.recessionMm)} since ${day(since)} (${h.mostRecededPoint})`
    : `not come up since ${day(since)}`
</script>

<template>
  <section class="plate p-3" aria-label="Shims">
    <Loaded v-slot="{ data }" :query="shims" what="record of its shims" part>
      <h2>Left in {{ many ? 'these heads' : 'this head' }}</h2>
      <p v-if="!heads.length" class="small soft mb-1">No visit has told both shim and gap of a point yet.</p>
      <div v-for="h in heads" :key="`${h.bank} ${h.kind}`" class="mb-2">
        <p class="small mb-1">
          <strong>{{ begun(`${many ? `head ${h.bank + 1}, ` : ''}${kindWord(h.kind)}`) }}:</strong> seats
          {{ seats(h, h.since) }}. {{ left(h) }}
        </p>
        <ShimsLeft
          v-if="data.thinnestMm != null && data.thickestMm != null"
          :points="h.points"
          :thinnest="data.thinnestMm"
          :thickest="data.thickestMm"
        />
      </div>
      <template v-if="data.dueOn">
        <h3 class="sub mt-2 mb-1">To carry on {{ day(data.dueOn) }}</h3>
        <ul v-if="data.carry.length" class="plain-list small">
          <li v-for="c in data.carry" :key="c.sizeMm">
            <span class="figure">{{ size(c.sizeMm) }}</span> for {{ c.points.join(', ') }}: {{ chance(c.odds) }}
          </li>
        </ul>
        <p v-else class="small mb-1">Nothing is likely to be wanted.</p>
        <p v-if="data.notKnown.length" class="small soft mb-0">
          Not foretold, no shim known: {{ data.notKnown.join(', ') }}.
        </p>
      </template>
      <p v-if="data.jobId" class="small mb-0 mt-2">
        <RouterLink :to="{ name: 'shim-job', params: { id: data.jobId } }">Its shim job</RouterLink>
      </p>
      <details class="small mt-2">
        <summary>Point by point</summary>
        <table class="ledger small">
          <thead>
            <tr>
              <th scope="col">Point</th>
              <th scope="col">Shim</th>
              <th scope="col">Up</th>
              <th scope="col">Left</th>
              <th scope="col">Hours</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in data.points" :key="p.point">
              <th scope="row">{{ p.point }}</th>
              <td class="figure">{{ p.shimMm != null ? size(p.shimMm) : '—' }}</td>
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
