<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { entriesOf } from '../../../offline/record'
import { moment } from '../../../shared/figures/days'

/** The audit of a visit is its list: every entry, who, when, on which device. Nothing is ever written over. */
const props = defineProps<{ id: string; name: (by?: string | null) => string; late: string[] }>()
const shown = ref(false)
const { data } = useQuery(() => ({ ...entriesOf(props.id), enabled: shown.value }))
type Line = Record<string, unknown> & {
  id: string
  kind: string
  at: string
  by: string
  device?: string
  sequence: number
}
const lines = computed(() => (data.value?.entries ?? []) as unknown as Line[])
const outside = new Set(['id', 'kind', 'at', 'by', 'device', 'sequence', 'receivedAt', 'reading'])
/** The fields as they stand, without the identifiers that say nothing to a reader. */
function said(line: Line): string {
  return Object.entries(line)
    .filter(([field]) => !outside.has(field) && !field.endsWith('Id'))
    .map(([field, value]) => {
      if (field === 'entry') return `of line ${lines.value.find((l) => l.id === value)?.sequence ?? '?'}`
      return `${field} ${typeof value === 'object' ? JSON.stringify(value) : String(value)}`
    })
    .join(', ')
}
</script>

<template>
  <section class="plate p-3">
    <button type="button" class="btn btn-plain" :aria-expanded="shown" @click="shown = !shown">
      {{ shown ? 'Hide the entries' : 'Every entry of this visit' }}
    </button>
    <div v-if="shown" class="table-responsive mt-2">
      <table class="ledger">
        <thead class="caps">
          <tr>
            <th>Line</th>
            <th>What</th>
            <th>Said</th>
            <th>Who</th>
            <th>When</th>
            <th>On</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.id">
            <td class="figure">{{ line.sequence }}</td>
            <td>{{ line.kind }}<template v-if="late.includes(line.id)"> (after signing)</template></td>
            <td class="small">{{ said(line) }}</td>
            <td>{{ name(line.by) }}</td>
            <td class="figure small">{{ moment(line.at) }}</td>
            <td class="soft small">{{ line.device }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
