<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { useTitle } from '../../shared/address/useTitle'
import PlanText from '../../shared/facts/PlanText.vue'
import WhatWaits from '../../shared/facts/WhatWaits.vue'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import PaperHead from '../../shared/paper/PaperHead.vue'
import Loaded from '../../shared/loaded/Loaded.vue'
import { workText } from '../../shared/words/plan'
import { spoken } from '../../shared/words/points'

/** A job on paper: stops in order, spec, last figures, what to bring, cautions; with room to write. */
const props = defineProps<{ id: string }>()
const figures = useFigures()
const jobs = useQuery(() => queries.jobs())
const job = computed(() => jobs.data.value?.find((j) => j.id === props.id))
const engine = useQuery(() => ({ ...queries.engine(job.value?.engineId ?? ''), enabled: !!job.value }))
useTitle(() => job.value && `Job card, ${job.value.engine}`)
const blades = computed(() => [
  ...new Set(
    (engine.data.value?.points ?? []).flatMap((p) =>
      [p.minMm, p.setMm, p.maxMm].filter((mm): mm is number => mm != null).map((mm) => figures.withUnit(mm)),
    ),
  ),
])
const inForce = computed(() => (engine.data.value?.type.revisions ?? []).filter((r) => r.inForce))
/** Its book gives hot figures and no others. */
const hotOnly = computed(() => inForce.value.length > 0 && inForce.value.every((r) => r.condition === 'hot'))
/** What stands in the book for points that are set by an amount. */
const amountOf = (kind: string) =>
  inForce.value.flatMap((r) => r.figures).find((f) => f.kind === kind)?.written ?? 'by the manual'
const plan = useQuery(() => queries.plan())
const at = computed(() => plan.data.value?.placements.find((p) => p.jobId === props.id))
const who = computed(() =>
  [at.value?.personId, at.value?.mateId]
    .map((id) => plan.data.value?.people.find((p) => p.id === id)?.name)
    .filter((n): n is string => !!n),
)
const print = () => window.print()
</script>

<template>
  <Loaded v-slot="{ data }" :query="jobs" what="job" back="/plan" back-text="The plan">
    <main class="page">
      <PaperHead what="Job card" />
      <p v-if="data && !job" class="plate p-3">
        There is no such open job. <RouterLink to="/plan">The plan</RouterLink>
      </p>
      <template v-else-if="job && engine.data.value">
        <div class="page-head">
          <div>
            <h1>{{ job.engine }}: {{ job.title }}</h1>
            <p class="soft mb-0 mt-1">
              {{ job.machine }}, {{ job.site }} · {{ engine.data.value.type.code }}, {{ engine.data.value.type.name }} ·
              {{ workText(job.time) }}<template v-if="job.dueDate"> · due {{ day(job.dueDate) }}</template>
            </p>
            <p class="mb-0 mt-1">
              <strong v-if="at"
                >{{ who.join(' with ') }}, {{ day(at.date)
                }}<template v-if="at.lastDate !== at.date"> to {{ day(at.lastDate) }}</template></strong
              ><template v-else>No day is planned yet.</template> · {{ hours(engine.data.value.row.shownHours) }} h on
              the meter<template v-if="engine.data.value.row.serialNumber"
                >, serial {{ engine.data.value.row.serialNumber }}</template
              >
            </p>
          </div>
          <div class="d-flex gap-2 no-print">
            <BButton class="btn-plain" @click="print">Print</BButton>
            <BButton
              class="btn-act"
              :to="{ name: 'open', params: { engineId: job.engineId }, query: { jobId: job.id } }"
              >Start it</BButton
            >
          </div>
        </div>
        <WhatWaits v-if="job.waiting.length" class="mb-3" :waiting="job.waiting" />
        <section class="plate p-3 mb-3">
          <h2>Before you begin</h2>
          <ul class="mb-0">
            <li>Make it safe: nobody can start it, nothing can fall, nothing is under pressure or power.</li>
            <li v-if="hotOnly">
              Run to temperature first: its figures are for a hot engine<template
                v-if="engine.data.value.type.hotMinutes != null"
                >, {{ engine.data.value.type.hotMinutes }} minutes after it stopped at most</template
              >. Mind hot oil and metal.
            </li>
            <li v-else>
              It has stood since the evening before and is cold: {{ engine.data.value.type.coldMaxC }} °C or less.
            </li>
            <li>The maker’s manual for this engine goes before this card.</li>
            <li>Turn it by the {{ engine.data.value.type.barringTool }}, {{ engine.data.value.type.rotation }}.</li>
            <li v-if="job.crew > 1">It takes two: one turns, one watches.</li>
          </ul>
        </section>
        <div class="two">
          <section class="plate p-3">
            <h2>Bring</h2>
            <ul class="mb-0">
              <li v-if="blades.length">Blades: {{ blades.join(', ') }}</li>
              <li v-for="k in engine.data.value.type.kit.filter((line) => line.text !== 'Feeler blades')" :key="k.text">
                {{ k.text }}
              </li>
              <li v-for="t in job.tools" :key="t">{{ t }}</li>
              <li v-for="p in job.parts" :key="p.name ?? ''">{{ p.name }}{{ p.here ? '' : ' (not here yet)' }}</li>
            </ul>
          </section>
          <section class="plate p-3">
            <h2>The stops</h2>
            <PlanText
              :plan="engine.data.value.type.plan"
              :points="engine.data.value.type.points"
              :as-listed="engine.data.value.type.method === 'book'"
            />
          </section>
        </div>
        <section class="plate p-2 mt-3 table-responsive">
          <table class="table mb-0">
            <thead>
              <tr>
                <th scope="col">Point</th>
                <th scope="col">Window</th>
                <th scope="col">Set to</th>
                <th scope="col">Last, expected</th>
                <th scope="col">Found</th>
                <th scope="col">Left</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="p in engine.data.value.points" :key="p.label">
                <th scope="row">{{ spoken(p) }}</th>
                <td class="figure">
                  <template v-if="p.minMm != null"
                    >{{ figures.range(p.minMm, p.maxMm)
                    }}<span class="small soft d-block">{{ figures.otherRange(p.minMm, p.maxMm) }}</span></template
                  >
                  <template v-else>{{ amountOf(p.kind) }}</template>
                </td>
                <td class="figure">{{ p.setMm != null ? figures.figure(p.setMm) : '' }}</td>
                <td class="figure">
                  {{ p.lastMm != null ? figures.figure(p.lastMm) : '—'
                  }}<template v-if="p.expectedMm != null">, {{ figures.rough(p.expectedMm) }}</template>
                </td>
                <td class="room" />
                <td class="room" />
              </tr>
            </tbody>
          </table>
        </section>
      </template>
    </main>
  </Loaded>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 340px), 1fr));
  gap: 14px;
}
.room {
  min-width: 90px;
}
</style>
