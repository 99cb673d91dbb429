<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import type { Figures } from '../../shared/figures/useFigures'
import { figureText } from './driftTable'

/** The same figures as a table: one line a visit, one column a point. */
const props = defineProps<{ drift: Schemas['EngineDriftResponse']; figures: Figures }>()
const fields = computed(() => [
  { key: 'hours', label: 'Hours', tdClass: 'figure' },
  { key: 'date', label: 'Date' },
  { key: 'who', label: 'Who' },
  ...props.drift.points.map((p) => ({ key: p.label, label: p.label, tdClass: 'figure' })),
])
const items = computed(() =>
  props.drift.visits.map((v) => ({
    visitId: v.visitId,
    hours: hours(v.hours),
    date: day(v.date),
    who: v.who + (v.leftOut ? ' (left out)' : ''),
    ...Object.fromEntries(props.drift.points.map((p) => [p.label, figureText(p, v.visitId, props.figures)])),
  })),
)
</script>

<template>
  <section class="plate p-2" aria-label="The figures as a table">
    <p class="px-2 small soft mb-1">as found → as left, {{ figures.unit }}</p>
    <BTable :items="items" :fields="fields" table-class="ledger" thead-class="caps" primary-key="visitId" responsive>
      <template #cell(date)="{ item }">
        <RouterLink :to="{ name: 'record', params: { id: item.visitId } }">{{ item.date }}</RouterLink>
      </template>
    </BTable>
  </section>
</template>
