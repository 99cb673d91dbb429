<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { kindWord } from '../../shared/words/points'

/** What the book asked and asks, with where it comes from; old revisions stay. */
defineProps<{ revisions: Schemas['EngineTypeResponse']['revisions'] }>()
const fields = [
  { key: 'revision', label: 'Rev.' },
  { key: 'date', label: 'From' },
  { key: 'figures', label: 'Figures', tdClass: 'figure small' },
  { key: 'source', label: 'Source', tdClass: 'small' },
]
</script>

<template>
  <BTable :items="revisions" :fields="fields" table-class="ledger mt-1" thead-class="caps" primary-key="id" responsive>
    <template #cell(revision)="{ item }">
      <strong>{{ item.revision }}</strong>
      <span v-if="item.inForce" class="small d-block">in force</span>
    </template>
    <template #cell(date)="{ item }">{{ day(item.date) }}</template>
    <template #cell(figures)="{ item }">
      <div v-for="f in item.figures" :key="f.kind">{{ kindWord(f.kind) }} {{ f.written }}</div>
      {{ item.condition }}
    </template>
  </BTable>
</template>
