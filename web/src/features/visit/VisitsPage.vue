<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onMounted } from 'vue'
import { queries } from '../../api/queries'
import { goneSince } from '../../api/reach'
import { startTablet } from '../../core/tablet'
import { openedHere } from '../../offline/outbox'
import { taken } from '../../offline/taken'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import Loaded from '../../shared/loaded/Loaded.vue'
import { jobNames } from '../../shared/words/jobs'
import MyJobs from './MyJobs.vue'

const open = useQuery(() => ({ ...queries.openVisits(), refetchOnMount: 'always' as const }))
const yard = useQuery(() => queries.yard())
onMounted(() => void startTablet().catch(() => undefined))
const along = computed(() => new Set(taken.value.map((t) => t.engineId)))
const engineName = (id: string) => yard.data.value?.engines.find((e) => e.engineId === id)?.name ?? 'An engine'
/** Without the server only what was taken along can be opened. */
const closed = computed(() => {
  const opened = new Set(openedHere.value.map((h) => h.entry.engineId))
  const rows = (yard.data.value?.engines ?? []).filter((e) => !e.openOverheadId && !opened.has(e.engineId))
  return goneSince.value === null ? rows.slice(0, 8) : rows.filter((e) => along.value.has(e.engineId))
})
</script>

<template>
  <Loaded v-slot="{ data }" :query="open" what="visit">
    <main class="page">
      <div class="page-head"><h1>At the engine</h1></div>
      <MyJobs />
      <section class="plate p-3 mb-3">
        <h2>Open now</h2>
        <p v-if="data.visits.length + openedHere.length === 0" class="mt-2 mb-0">
          No engine is open. Choose one below to begin.
        </p>
        <RouterLink
          v-for="h in openedHere"
          :key="h.visitId"
          class="job"
          :to="{ name: 'visit', params: { id: h.visitId } }"
        >
          <strong>{{ engineName(h.entry.engineId) }}</strong>
          <span class="soft">{{ jobNames[h.entry.job] }}, opened on this tablet; it waits to be sent</span>
        </RouterLink>
        <RouterLink
          v-for="o in data.visits"
          :key="o.visitId"
          class="job"
          :to="{ name: 'visit', params: { id: o.visitId } }"
        >
          <strong>{{ o.engineName }}</strong>
          <span class="soft"
            >{{ jobNames[o.job] }}, {{ o.site }} · {{ o.who }} since {{ day(o.date)
            }}{{ o.shownHours != null ? ` at ${hours(o.shownHours)} h` : '' }}</span
          >
          <span class="figure">{{ o.found }} of {{ o.points }} found</span>
        </RouterLink>
      </section>
      <section class="plate p-3">
        <h2>Open an engine</h2>
        <p v-if="goneSince === null" class="soft small mb-2">
          The most urgent first. <RouterLink to="/">All in the yard.</RouterLink>
        </p>
        <p v-else class="soft small mb-2">Those that were downloaded to this tablet; the others need the server.</p>
        <p v-if="yard.data.value && closed.length === 0" class="mb-0">
          {{ goneSince === null ? 'No other engine is in the yard.' : 'No other engine was downloaded.' }}
        </p>
        <RouterLink
          v-for="r in closed"
          :key="r.engineId"
          class="job"
          :to="{ name: 'open', params: { engineId: r.engineId } }"
        >
          <strong>{{ r.name }}</strong>
          <span class="soft">{{ r.site }} · {{ r.typeCode }}{{ along.has(r.engineId) ? ' · works offline' : '' }}</span>
          <span class="figure">{{ hours(r.shownHours) }} h</span>
        </RouterLink>
      </section>
    </main>
  </Loaded>
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
@media (max-width: 600px) {
  .job {
    grid-template-columns: 1fr auto;
    gap: 0.2rem 0.8rem;
  }
  .job .soft {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
