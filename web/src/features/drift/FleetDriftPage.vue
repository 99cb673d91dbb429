<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import RateStrip, { type RateLine } from '../../instruments/RateStrip.vue'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import Loaded from '../../shared/loaded/Loaded.vue'
import { counted, form, plural } from '../../shared/words/counts'
import { rateText } from '../../shared/words/drift'
import { machineNames } from '../../shared/words/machines'
import { chance } from '../../shared/words/odds'
import { kindWord } from '../../shared/words/points'
import { verdictWords } from '../../shared/words/verdicts'
import FleetStates from './FleetStates.vue'

/** What the figures of the whole fleet say: who wears fastest, what is usual, what this month taught. */
type Fleet = Schemas['FleetDriftResponse']
const figures = useFigures()
const router = useRouter()
const fleet = useQuery(() => queries.fleetDrift())
const fastFields = [
  { key: 'engine', label: 'Engine' },
  { key: 'point', label: 'Point', tdClass: 'fw-bold' },
  { key: 'rate', label: 'Rate' },
  { key: 'usual', label: 'Usual for its kind', tdClass: 'figure' },
  { key: 'said', label: 'What it comes to' },
]
const learnedFields = [
  { key: 'date', label: 'Date' },
  { key: 'engine', label: 'Engine' },
  { key: 'told', label: 'What it told' },
]
const headline = (f: Fleet) => {
  const all = f.states.found + f.states.drifting + f.states.overdue + f.states.quiet + f.states.unknown
  if (all === 0) return 'No engine yet.'
  return `${counted(f.states.quiet)} of ${all} ${form(all, 'engine is', 'engines are')} quiet.`
}
const what = (p: Schemas['FastPoint'], risk: number) => {
  if (p.standing === 'tight' || p.standing === 'loose') return `found ${verdictWords[p.standing]}, waits to be set`
  const unlike = p.fastProbability > 0.5 ? 'unlike its sisters; ' : ''
  if (p.hoursToRisk == null) return `${unlike}no limit in sight`
  return p.hoursToRisk > 0
    ? `${unlike}${chance(risk)} ${p.side} in ${hours(p.hoursToRisk)} h`
    : `${unlike}more than ${chance(risk)} already ${p.side}`
}
const told = (v: Schemas['LearnedVisit']) =>
  [
    v.out ? `${v.out} of ${v.measured} out of limits` : `${v.measured} of ${v.measured} in limits`,
    v.worst && `the worst ${v.worst}, ${figures.withUnit(v.worstMm)}, ${verdictWords[v.worstState!]}`,
    v.asked &&
      `everything read ${figures.withUnit(Math.abs(v.shiftMm!))} ${v.shiftMm! < 0 ? 'tight' : 'loose'}: was it warm?`,
  ]
    .filter(Boolean)
    .join('; ')
const typeLines = computed((): RateLine[] =>
  (fleet.data.value?.types ?? []).map((t) => ({
    key: t.typeId,
    name: `${t.typeCode} ${kindWord(t.kind)}`,
    mmPer1000h: t.mmPer1000h,
    standardErrorMmPer1000h: t.standardErrorMmPer1000h,
    says: `${t.typeName}, ${kindWord(t.kind)}: ${rateText(t, figures)}, ${plural(t.engines, 'engine')}; one valve against another ± ${figures.rate(t.tauMmPer1000h)}`,
  })),
)
const useLines = computed((): RateLine[] =>
  (fleet.data.value?.uses ?? []).map((u) => ({
    key: `${u.machine}/${u.kind}`,
    name: `${machineNames[u.machine]} ${kindWord(u.kind)}`,
    mmPer1000h: u.mmPer1000h,
    standardErrorMmPer1000h: u.standardErrorMmPer1000h,
    says: `${rateText(u, figures)}, ${plural(u.engines, 'engine')}`,
  })),
)
</script>

<template>
  <Loaded v-slot="{ data }" :query="fleet" what="fleet">
    <main class="page">
      <div class="page-head">
        <div>
          <h1>{{ headline(data) }}</h1>
          <p class="soft small mb-0 mt-1">
            drift of the fleet, fitted over every reading; {{ figures.unit }} a 1000 h · a failure that has not begun
            cannot be seen
          </p>
        </div>
      </div>
      <FleetStates :states="data.states" />
      <section class="plate p-2 mt-3">
        <h2 class="px-2 pt-1">The fastest points</h2>
        <p v-if="data.fastest.length === 0" class="px-2 mb-1">No point is known to move yet.</p>
        <BTable v-else :items="data.fastest" :fields="fastFields" table-class="ledger" thead-class="caps" responsive>
          <template #cell(engine)="{ item }">
            <RouterLink :to="{ name: 'engine-drift', params: { id: item.engineId }, query: { point: item.point } }">{{
              item.engine
            }}</RouterLink>
          </template>
          <template #cell(rate)="{ item }">{{ rateText(item, figures) }}</template>
          <template #cell(usual)="{ item }">{{ figures.rate(item.kindMmPer1000h) }}</template>
          <template #cell(said)="{ item }">{{ what(item, data.risk) }}</template>
        </BTable>
      </section>
      <div class="pair mt-3">
        <section v-if="typeLines.length" class="plate p-3">
          <h2>Types and kinds</h2>
          <p class="small soft mb-2">Line: nine in ten. Where lines overlap, nothing is known to differ.</p>
          <RateStrip
            :lines="typeLines"
            :figures="figures"
            label="Rates by type and kind"
            @pick="(id) => router.push({ name: 'book', params: { id } })"
          />
        </section>
        <section v-if="useLines.length" class="plate p-3">
          <h2>By use</h2>
          <p class="small soft mb-2">Two engines or more of a use; an engine counts once.</p>
          <RateStrip
            :lines="useLines"
            :figures="figures"
            label="Rates by use and kind"
            @pick="(key) => router.push({ name: 'yard', query: { kind: key.split('/')[0] } })"
          />
        </section>
      </div>
      <section class="plate p-2 mt-3">
        <h2 class="px-2 pt-1">Learned in the last month</h2>
        <p v-if="data.learned.length === 0" class="px-2 mb-1">No visit was signed in the last month.</p>
        <BTable
          v-else
          :items="data.learned"
          :fields="learnedFields"
          table-class="ledger"
          thead-class="caps"
          primary-key="visitId"
          responsive
        >
          <template #cell(date)="{ item }">
            <RouterLink :to="{ name: 'record', params: { id: item.visitId } }">{{ day(item.date) }}</RouterLink>
          </template>
          <template #cell(engine)="{ item }">
            <RouterLink :to="{ name: 'engine-drift', params: { id: item.engineId } }">{{ item.engine }}</RouterLink>
          </template>
          <template #cell(told)="{ item }">{{ told(item) }}</template>
        </BTable>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 0.9rem;
  align-items: start;
}
</style>
