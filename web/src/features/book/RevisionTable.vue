<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import Photo from '../../shared/photos/Photo.vue'
import { kindWord } from '../../shared/words/points'

/** What the book asked and asks, with where it comes from; old revisions stay. */
const props = defineProps<{ revisions: Schemas['EngineTypeResponse']['revisions'] }>()
type Revision = Schemas['EngineTypeResponse']['revisions'][number]
const fromServer = (hash: string) => Promise.resolve(`/api/blobs/${hash}`)
/** What a revision changed beside the one before it in its condition. */
function changes(item: Revision): string[] {
  const same = props.revisions.filter((r) => r.condition === item.condition)
  const before = same[same.findIndex((r) => r.id === item.id) + 1]
  if (!before) return []
  return item.figures.flatMap((f) => {
    const was = before.figures.find((b) => b.kind === f.kind)
    return was && was.written !== f.written ? [`${kindWord(f.kind)} was ${was.written} in rev. ${before.revision}`] : []
  })
}
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
      <span v-for="c in changes(item)" :key="c" class="d-block is-changed">{{ c }}</span>
    </template>
    <template #cell(source)="{ item }">
      {{ item.source }}
      <div v-if="item.photo"><Photo :hash="item.photo" :from="fromServer" :alt="`Picture of ${item.source}`" /></div>
    </template>
  </BTable>
</template>
