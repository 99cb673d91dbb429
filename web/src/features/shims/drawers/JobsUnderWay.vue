<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../../api/queries'
import { day } from '../../../shared/figures/days'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { plural } from '../../../shared/words/counts'
import JobLine from '../job/JobLine.vue'

/** Shim jobs that are not closed. */
const jobs = useQuery(() => queries.shimJobs({ open: true }))
</script>

<template>
  <section class="plate p-3" aria-label="Under way">
    <h2>Under way</h2>
    <Loaded v-slot="{ data }" :query="jobs" what="list of shim jobs" part>
      <p v-if="!data.length" class="small soft mb-0">
        No shim job waits. Measure a shim engine, and its bench decides the whole of it at once.
      </p>
      <div v-for="j in data" :key="j.id" class="ruled py-2">
        <RouterLink :to="{ name: 'shim-job', params: { id: j.id } }"
          ><strong>{{ [...new Set(j.engines.map((e) => e.engine))].join(', ') }}</strong></RouterLink
        >
        <span class="small soft">
          · {{ plural(j.places.length, 'shim') }}, {{ j.buy.reduce((n, b) => n + b.count, 0) }} bought</span
        >
        <JobLine :state="j.state" />
        <p v-if="j.state === 'ordered' && j.expectedOn" class="small soft mb-0">Expected on {{ day(j.expectedOn) }}.</p>
      </div>
    </Loaded>
  </section>
</template>
