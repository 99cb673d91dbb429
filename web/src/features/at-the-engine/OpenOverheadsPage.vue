<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { answer, api, sentence } from '../../api/client'
import { day, hours } from '../../app/figures'

const open = useQuery({
  queryKey: ['open-visits'],
  queryFn: () => answer(api.GET('/api/visits', { params: { query: { open: true } } })),
  refetchOnMount: 'always',
})
const due = useQuery({ queryKey: ['due'], queryFn: () => answer(api.GET('/api/due')) })
const jobs = { overhead: 'Overhead', spotCheck: 'Spot check', receivingCheck: 'Receiving check', build: 'Build' }
</script>

<template>
  <main class="page">
    <div class="page-head"><h1>At the engine</h1></div>
    <p v-if="open.error.value" class="complaint mx-3">{{ sentence(open.error.value) }}</p>
    <section class="plate p-3 mb-3">
      <h2>Open now</h2>
      <p v-if="open.data.value?.visits.length === 0" class="mt-2 mb-0">No engine is open. Choose one below to begin.</p>
      <RouterLink
        v-for="o in open.data.value?.visits ?? []"
        :key="o.visitId"
        class="job"
        :to="{ name: 'overhead', params: { id: o.visitId } }"
      >
        <strong>{{ o.engineName }}</strong>
        <span class="soft"
          >{{ jobs[o.job] }}, {{ o.site }} · {{ o.who }} since {{ day(o.date)
          }}{{ o.shownHours != null ? ` at ${hours(o.shownHours)} h` : '' }}</span
        >
        <span class="figure">{{ o.found }} of {{ o.points }} found</span>
      </RouterLink>
    </section>
    <section class="plate p-3">
      <h2>Open an engine</h2>
      <p class="soft small mb-2">The most urgent first. <RouterLink to="/">All in the yard.</RouterLink></p>
      <RouterLink
        v-for="r in (due.data.value?.engines ?? []).filter((e) => !e.openOverheadId).slice(0, 8)"
        :key="r.engineId"
        class="job"
        :to="{ name: 'start-overhead', params: { engineId: r.engineId } }"
      >
        <strong>{{ r.name }}</strong>
        <span class="soft">{{ r.site }} · {{ r.typeCode }}</span>
        <span class="figure">{{ hours(r.shownHours) }} h</span>
      </RouterLink>
    </section>
  </main>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) 2fr auto;
  gap: 1rem;
  align-items: center;
  min-height: 52px;
  border-top: 1px solid var(--hairline);
  color: var(--ink);
  text-decoration: none;
  padding: 0.3rem 0.5rem;
}
.job:hover {
  background: var(--blue-wash);
}
</style>
