<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'

/** The first good rows, as they were understood. */
defineProps<{ rows: Schemas['LogbookSample'][] }>()
const figures = useFigures()
const fields = [
  { key: 'line', label: 'Line', tdClass: 'figure' },
  { key: 'engine', label: 'Engine' },
  { key: 'date', label: 'Date' },
  { key: 'hours', label: 'Hours', tdClass: 'figure' },
  { key: 'point', label: 'Point', tdClass: 'fw-bold' },
  { key: 'found', label: 'Found', tdClass: 'figure' },
  { key: 'left', label: 'Left', tdClass: 'figure' },
  { key: 'unit', label: 'Unit' },
  { key: 'mm', label: 'Found is', tdClass: 'figure soft' },
  { key: 'who', label: 'Who' },
  { key: 'remark', label: 'Remark', tdClass: 'soft small' },
]
</script>

<template>
  <section class="plate p-2">
    <h2 class="px-2 pt-1">The first rows, as understood</h2>
    <BTable :items="rows" :fields="fields" table-class="ledger" thead-class="caps" primary-key="line" responsive>
      <template #cell(date)="{ item }">{{ day(item.date) }}</template>
      <template #cell(hours)="{ item }">{{ hours(item.hours) }}</template>
      <template #cell(mm)="{ item }">{{ item.foundMm == null ? '' : figures.withUnit(item.foundMm) }}</template>
    </BTable>
  </section>
</template>
