<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import { moment } from '../../shared/figures/days'

/** What was changed of an engine and its machine, newest first. */
const props = defineProps<{ id: string }>()
const changes = useQuery(() => queries.engineChanges(props.id))
const words: Record<string, string> = {
  name: 'name',
  machineId: 'machine',
  engineTypeId: 'type',
  dutyHoursPerDay: 'hours a day',
  monthlyWeights: 'season',
  remark: 'remark',
  serialNumber: 'serial number',
  rating: 'rating',
  archived: 'archived',
  hours: 'meter reading',
  registration: 'registration',
  site: 'site',
}
function said(what: unknown): string {
  return Object.entries(what as Record<string, unknown>)
    .map(([field, value]) => {
      const name = words[field] ?? field
      if (field.endsWith('Id')) return `another ${name}`
      const { before, after } = value as { before: unknown; after: unknown }
      if (field === 'archived')
        return String(after) === 'true' || String(after) === 'True' ? 'archived' : 'taken out again'
      return `${name} ${String(before ?? 'none')} → ${String(after ?? 'none')}`
    })
    .join(', ')
}
</script>

<template>
  <section v-if="changes.data.value?.length">
    <h2>Changed before</h2>
    <ul class="small soft mb-0 mt-1">
      <li v-for="(c, i) in changes.data.value.slice(0, 12)" :key="i">
        {{ moment(c.at) }}, {{ c.who || 'nobody named' }}: {{ said(c.what)
        }}<template v-if="c.why"> ({{ c.why }})</template>
      </li>
    </ul>
  </section>
</template>
