<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import { jobWord } from '../../shared/words/jobs'
import { verdictWords } from '../../shared/words/verdicts'

defineProps<{ rows: Schemas['LedgerRow'][] }>()
const figures = useFigures()
const found = (row: Schemas['LedgerRow']) =>
  row.tightest
    ? `${row.tightest} ${figures.withUnit(row.tightestMm)}, ${verdictWords[row.tightestState!]}`
    : row.measured
      ? 'all in window'
      : ''
const answers: Record<string, string> = {
  counts: '',
  warm: 'warm: left out of the rates',
  otherBlades: 'other blades: left out of the rates',
}
</script>

<template>
  <section class="plate p-2 table-responsive">
    <h2 class="px-2 pt-1">Ledger</h2>
    <p v-if="rows.length === 0" class="px-2 pt-2 mb-1">
      Nothing recorded yet. Start an overhead, or bring in an old logbook.
    </p>
    <table v-else class="ledger">
      <thead class="caps">
        <tr>
          <th>Hours</th>
          <th>Date</th>
          <th>Job</th>
          <th>Who</th>
          <th>Found out</th>
          <th>Worst found</th>
          <th>Set</th>
          <th>Spec</th>
          <th>Note</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.overheadId">
          <td class="figure" :title="`${hours(row.totalHours ?? 0)} h in all`">{{ hours(row.shownHours ?? 0) }}</td>
          <td>
            <RouterLink :to="{ name: 'record', params: { id: row.overheadId } }">{{ day(row.date) }}</RouterLink>
          </td>
          <td>{{ jobWord(row.job) }}</td>
          <td>{{ row.who }}</td>
          <td>{{ row.measured ? `${row.outAsFound} of ${row.measured}` : '—' }}</td>
          <td class="figure" :class="`is-${row.tightestState}`">
            {{ found(row) }}
          </td>
          <td>{{ row.setCount }}</td>
          <td>{{ row.specRevision }}</td>
          <td class="soft">
            {{
              [answers[row.answer], row.remark, row.corrections ? `${row.corrections} corrected after signing` : '']
                .filter(Boolean)
                .join(' · ')
            }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
