<script setup lang="ts">
import { BTable } from 'bootstrap-vue-next/components/BTable'
import type { Schemas } from '../../api/client'
import { plural } from '../../shared/words/counts'

/** The rows that cannot be taken, each with its line, its column and why. */
defineProps<{ rows: Schemas['BadRow'][] }>()
const fields = [
  { key: 'line', label: 'Line', tdClass: 'figure' },
  { key: 'column', label: 'Column' },
  { key: 'message', label: 'Why' },
  { key: 'text', label: 'Row', tdClass: 'figure small soft' },
]
const most = 200
</script>

<template>
  <section class="plate p-2 mb-3">
    <h2 class="px-2 pt-1 is-tight">{{ plural(rows.length, 'row') }} cannot be taken</h2>
    <BTable
      :items="rows.slice(0, most)"
      :fields="fields"
      table-class="ledger"
      thead-class="caps"
      primary-key="line"
      responsive
    />
    <p v-if="rows.length > most" class="px-2 mb-1 soft">The first {{ most }} are shown.</p>
  </section>
</template>
