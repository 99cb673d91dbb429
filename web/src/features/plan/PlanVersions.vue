<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { queries } from '../../api/queries'
import { moment } from '../../shared/figures/days'
import { plural } from '../../shared/words/counts'

/** The plans that were published before, each kept as it was. */
const shown = ref(false)
const versions = useQuery(() => ({ ...queries.planVersions(), enabled: shown.value }))
</script>

<template>
  <details class="mt-2" @toggle="shown = ($event.target as HTMLDetailsElement).open">
    <summary>Every plan published</summary>
    <ul class="plain-list small">
      <li v-for="v in versions.data.value ?? []" :key="v.number" class="ruled">
        Plan {{ v.number }}: {{ plural(v.jobs, 'job') }}, {{ moment(v.publishedAt)
        }}<template v-if="v.who">, {{ v.who }}</template>
        <a class="ms-2" :href="`/api/plan/calendar.ics?version=${v.number}`" :download="`plan ${v.number}.ics`"
          >as a calendar</a
        >
      </li>
    </ul>
  </details>
</template>
