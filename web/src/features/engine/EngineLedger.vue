<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import { jobWord } from '../../shared/words/jobs'
import { leftOutWord } from '../../shared/words/trend'
import { verdictWords } from '../../shared/words/verdicts'

/** Every signed visit of an engine, the newest first. */
type Row = Schemas['LedgerRow']
defineProps<{ rows: Row[] }>()
const figures = useFigures()
const found = (row: Row) =>
  row.tightest
    ? `${row.tightest} ${figures.withUnit(row.tightestMm)}, ${verdictWords[row.tightestState!]}`
    : row.measured
      ? 'all in limits'
      : ''
const leftOut = (because: string) => leftOutWord(because) && `${leftOutWord(because)}: left out of the rates`
const note = (row: Row) =>
  [leftOut(row.answer), row.remark, row.corrections ? `${row.corrections} corrected after signing` : '']
    .filter(Boolean)
    .join(' · ')
const fields = [
  { key: 'shownHours', label: 'Hours', tdClass: 'figure' },
  { key: 'date', label: 'Date' },
  { key: 'job', label: 'Job' },
  { key: 'who', label: 'Who' },
  { key: 'out', label: 'Found out' },
  { key: 'worst', label: 'Worst found', tdClass: 'figure' },
  { key: 'setCount', label: 'Set' },
  { key: 'specRevision', label: 'Spec' },
  { key: 'note', label: 'Note', tdClass: 'soft' },
]
</script>

<template>
  <section class="plate p-2">
    <h2 class="px-2 pt-1">Ledger</h2>
    <p v-if="rows.length === 0" class="px-2 pt-2 mb-1">
      Nothing recorded yet. Start an overhead, or import an old logbook.
    </p>
    <BTable
      v-else
      :items="rows"
      :fields="fields"
      table-class="ledger"
      thead-class="caps"
      primary-key="overheadId"
      responsive
    >
      <template #cell(shownHours)="{ item }">
        {{ hours(item.shownHours ?? 0) }}
        <span v-if="item.totalHours !== item.shownHours" class="soft small d-block"
          >{{ hours(item.totalHours ?? 0) }} in all</span
        >
      </template>
      <template #cell(date)="{ item }">
        <RouterLink :to="{ name: 'record', params: { id: item.overheadId } }">{{ day(item.date) }}</RouterLink>
      </template>
      <template #cell(job)="{ item }">{{ jobWord(item.job) }}</template>
      <template #cell(out)="{ item }">{{ item.measured ? `${item.outAsFound} of ${item.measured}` : '—' }}</template>
      <template #cell(worst)="{ item }">
        <span :class="`is-${item.tightestState}`">{{ found(item) }}</span>
      </template>
      <template #cell(note)="{ item }">{{ note(item) }}</template>
    </BTable>
  </section>
</template>

<style scoped>
/* On a phone a visit is a block of three lines, not nine columns of one letter each. */
@media (max-width: 600px) {
  section :deep(thead) {
    display: none;
  }
  section :deep(tr) {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 0.6rem;
    padding: 0.5rem 0.3rem;
    border-top: 1px solid var(--hairline);
  }
  section :deep(td) {
    border: 0;
    padding: 0;
  }
  section :deep(td:nth-child(2)),
  section :deep(td:nth-child(3)) {
    order: -1;
    font-weight: 700;
  }
  section :deep(td:nth-child(1))::after {
    content: ' h';
  }
  section :deep(td:nth-child(5))::before {
    content: 'found out: ';
  }
  section :deep(td:nth-child(7))::before {
    content: 'set: ';
  }
  section :deep(td:nth-child(8))::before {
    content: 'book rev. ';
  }
  section :deep(td:nth-child(9)) {
    grid-column: 1 / -1;
  }
}
</style>
