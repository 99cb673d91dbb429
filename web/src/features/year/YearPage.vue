<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { useAddressed } from '../../shared/address/useAddressed'
import { day, today } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import PaperHead from '../../shared/paper/PaperHead.vue'
import Loaded from '../../shared/loaded/Loaded.vue'
import { plural } from '../../shared/words/counts'
import { jobWord } from '../../shared/words/jobs'
import { machineNames } from '../../shared/words/machines'
import { verdictWords } from '../../shared/words/verdicts'
import YearSums from './YearSums.vue'
import { byTheBook, failing, found, headline, timed, work } from './yearWords'

/** The year for whoever answers for the fleet, engine by engine: opened, found, learned, hours and parts, and what the manual’s interval would have asked. */
const figures = useFigures()
const chosen = useAddressed('year')
const years = Array.from({ length: 6 }, (_, i) => String(Number(today().slice(0, 4)) - i))
const year = useQuery(() =>
  chosen.value ? queries.year(`${chosen.value}-01-01`, `${chosen.value}-12-31`) : queries.year(),
)
const busy = computed(() => year.data.value?.engines.filter((e) => e.figures.openings || e.failing.length) ?? [])
const quiet = computed(() => year.data.value?.engines.filter((e) => !e.figures.openings && !e.failing.length) ?? [])
const sheet = computed(() => `/api/year.csv?from=${year.data.value?.from}&until=${year.data.value?.until}`)
const print = () => window.print()
</script>

<template>
  <Loaded v-slot="{ data }" :query="year" what="year">
    <main class="page">
      <PaperHead what="The year" />
      <div class="page-head">
        <div>
          <h1>{{ headline(data.whole) }}</h1>
          <p class="soft small mb-0 mt-1">{{ data.fleet }} · {{ day(data.from) }} to {{ day(data.until) }}</p>
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
          <BFormSelect v-model="chosen" class="stretch" aria-label="Which year">
            <option value="">Twelve months up to today</option>
            <option v-for="y in years" :key="y" :value="y">{{ y }}</option>
          </BFormSelect>
          <BButton class="btn-plain" @click="print">Print</BButton>
          <BButton class="btn-plain" :href="sheet" download>CSV</BButton>
        </div>
      </div>
      <p class="mb-1">{{ timed(data.whole) }} {{ byTheBook(data.whole) }}</p>
      <p class="soft small">
        Counted from signed visits and from the meters as they were read. Work that nobody timed and hours that nobody
        read are left out, not estimated.
      </p>

      <section class="plate p-3 mb-2">
        <h2>Engine by engine</h2>
        <p v-if="!busy.length" class="mb-0">No engine was opened in these days.</p>
        <table v-else class="engines">
          <thead>
            <tr>
              <th scope="col">Engine</th>
              <th scope="col">Opened</th>
              <th scope="col">Found and learned</th>
              <th scope="col">Run</th>
              <th scope="col">Work and parts</th>
              <th scope="col">By the manual</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="e in busy" :key="e.engineId">
              <th scope="row">
                <span v-if="e.archived">{{ e.name }}</span>
                <RouterLink v-else :to="{ name: 'engine', params: { id: e.engineId } }">{{ e.name }}</RouterLink>
                <span class="small soft d-block"
                  >{{ e.site }}, {{ e.typeCode }}<template v-if="e.archived">, archived</template></span
                >
              </th>
              <td data-of="Opened">
                <span v-for="v in e.openings" :key="v.visitId" class="d-block">
                  <RouterLink :to="{ name: 'record', params: { id: v.visitId } }">{{ day(v.date) }}</RouterLink>
                  {{ jobWord(v.job) }}<span v-if="v.who" class="soft">, {{ v.who }}</span>
                </span>
              </td>
              <td data-of="Found and learned">
                <span class="d-block">{{ found(e.figures) }}</span>
                <template v-for="v in e.openings" :key="v.visitId">
                  <span v-if="v.worst" class="d-block small"
                    >{{ v.worst }} {{ verdictWords[v.worstState!] }}, {{ figures.withUnit(v.worstMm) }}, on
                    {{ day(v.date) }}</span
                  >
                </template>
                <strong v-for="v in e.failing" :key="v.point" class="d-block">{{ failing(v) }}</strong>
              </td>
              <td data-of="Run" class="figure">
                {{ e.figures.hoursRun == null ? 'not read' : `${hours(e.figures.hoursRun)} h` }}
              </td>
              <td data-of="Work and parts">
                <span class="d-block">{{ e.figures.timed ? work(e.figures.workedHours) : 'not timed' }}</span>
                <span v-if="e.figures.set" class="d-block small">{{ plural(e.figures.set, 'valve') }} set</span>
                <span v-if="e.figures.shims" class="d-block small">{{ plural(e.figures.shims, 'shim') }} changed</span>
                <span v-for="p in e.parts" :key="p.part" class="d-block small">{{ p.count }} × {{ p.part }}</span>
              </td>
              <td data-of="By the manual">
                {{ e.figures.bookOpenings ? plural(e.figures.bookOpenings, 'overhead') : 'none' }}
                <span v-if="e.figures.bookHours != null" class="d-block small">{{ work(e.figures.bookHours) }}</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="quiet.length" class="soft small mb-0 mt-2">Not opened: {{ quiet.map((e) => e.name).join(', ') }}.</p>
      </section>
      <section class="plate p-3 mb-2">
        <h2>By kind of machine</h2>
        <YearSums
          of="Kind"
          :groups="data.byKind.map((k) => ({ name: machineNames[k.kind], engines: k.engines, figures: k.figures }))"
        />
      </section>
      <section class="plate p-3">
        <h2>By place</h2>
        <YearSums
          of="Place"
          :groups="data.byPlace.map((p) => ({ name: p.site, engines: p.engines, figures: p.figures }))"
        />
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.stretch {
  width: 15rem;
}
.engines {
  width: 100%;
  border-collapse: collapse;
}
.engines th,
.engines td {
  text-align: left;
  vertical-align: top;
  padding: 0.4rem 0.6rem 0.4rem 0;
  border-bottom: 1px solid var(--hairline);
}
.engines thead th {
  font-weight: 400;
  color: var(--ink-soft);
  font-size: 0.85rem;
}
.engines tbody th {
  font-weight: 600;
}
@media screen and (max-width: 900px) {
  .engines thead {
    display: none;
  }
  .engines tr,
  .engines th,
  .engines td {
    display: block;
    border: 0;
    padding: 0.1rem 0;
  }
  .engines tr {
    border-bottom: 1px solid var(--hairline);
    padding: 0.5rem 0;
  }
  .engines td[data-of]::before {
    content: attr(data-of) ': ';
    color: var(--ink-soft);
    font-size: 0.85rem;
  }
}
.engines .figure {
  white-space: nowrap;
}
@media print {
  .engines tr {
    break-inside: avoid;
  }
}
</style>
