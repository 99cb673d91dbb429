<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, watch } from 'vue'
import { sentence } from '../../api/client'
import { queries } from '../../api/queries'
import { makeStale } from '../../api/touched'
import { useWrite, writes } from '../../api/writes'
import { useAddressed } from '../../shared/address/useAddressed'
import PaperHead from '../../shared/paper/PaperHead.vue'
import Loaded from '../../shared/loaded/Loaded.vue'
import MoreMenu from '../../shared/menus/MoreMenu.vue'
import { toast } from '../../shared/toasts/toasts'
import { loadText, planHeadline } from '../../shared/words/plan'
import { csv, saveText } from '../../shared/figures/csv'
import { load } from './board'
import JobDetail from './JobDetail.vue'
import PlanBoard from './PlanBoard.vue'
import PlanBroken from './PlanBroken.vue'
import PlanAway from './PlanAway.vue'
import PlanList from './PlanList.vue'
import { planRows } from './planLines'
import type { BoardView } from './rows'
import PlanVersion from './PlanVersion.vue'
import ToPlan from './ToPlan.vue'
import { useMoving } from './useMoving'

/** The plan the depot works by: a draft, planned by rule and by hand, until it is published. */
const span = useAddressed('days', '56')
const view = useAddressed('view', 'mechanic')
const chosen = useAddressed('job')
const plan = useQuery(() => queries.plan(Number(span.value)))
const run = useQuery(() => ({
  ...queries.planRun(),
  refetchInterval: (query: { state: { data?: { running: boolean } } }) => (query.state.data?.running ? 400 : false),
}))
const client = useQueryClient()
const start = useWrite(writes.runPlan)
const stop = useWrite(writes.stopPlan)
const fromDue = useWrite(writes.jobsFromDue)
const place = useWrite(writes.placeJob)
const { state, hold, over, letGo } = useMoving()
const running = computed(() => run.data.value?.running ?? false)
watch(running, async (now, before) => {
  if (now || !before) return
  await makeStale(client, 'run', 'plan')
})
const used = computed(() => {
  const p = plan.data.value
  const loads = p?.people.map((person) => load(p, person)) ?? []
  return loadText(
    loads.reduce((sum, l) => sum + l.used, 0),
    loads.reduce((sum, l) => sum + l.all, 0),
  )
})
const broken = computed(() => new Set(plan.data.value?.broken.map((b) => b.jobId)))
const print = () => window.print()
const save = () => plan.data.value && saveText('plan.csv', csv(planRows(plan.data.value)), 'text/csv')
const job = computed(() => plan.data.value?.jobs.find((j) => j.id === chosen.value))

async function planAgain() {
  try {
    await fromDue.mutateAsync({})
    const started = await start.mutateAsync({ days: Number(span.value), seconds: 10 })
    // A small plan is made before anybody asks: that it ran is noted here, so that its end is noticed.
    client.setQueryData(queries.planRun().queryKey, { ...started, running: true })
    await nextTick()
    await client.invalidateQueries({ queryKey: queries.planRun().queryKey })
  } catch (caught) {
    toast(sentence(caught))
  }
}
async function drop() {
  const held = letGo()
  const before = plan.data.value?.placements.find((p) => p.jobId === held?.jobId)
  if (!held || !before || (before.personId === held.personId && before.date === held.date)) return
  try {
    await place.mutateAsync({ jobId: held.jobId, personId: held.personId, date: held.date })
    toast('Moved, and pinned there.', () =>
      place.mutateAsync({
        jobId: held.jobId,
        personId: before.personId,
        date: before.date,
        pinned: before.pinned,
      }),
    )
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <Loaded v-slot="{ data }" :query="plan" what="plan">
    <main class="page">
      <PaperHead :what="data.published && !data.changed ? `Plan ${data.published.number}` : 'Plan, a draft'" />
      <div class="page-head">
        <div>
          <h1>{{ planHeadline(data) }}</h1>
          <p class="soft small mb-0 mt-1">
            <template v-if="run.data.value?.said && !running">{{ run.data.value.said }} · </template>{{ used }} used
          </p>
        </div>
        <div class="d-flex gap-2 flex-wrap align-items-center no-print">
          <BFormSelect v-model="view" aria-label="The plan by" class="span">
            <option value="mechanic">By mechanic</option>
            <option value="machine">By machine</option>
            <option value="site">By site</option>
            <option value="list">As a list</option>
          </BFormSelect>
          <BFormSelect v-model="span" aria-label="How far ahead" class="span">
            <option value="7">A week</option>
            <option value="14">Two weeks</option>
            <option value="28">Four weeks</option>
            <option value="56">Eight weeks</option>
            <option value="91">A quarter</option>
          </BFormSelect>
          <MoreMenu end>
            <li><button type="button" @click="print">Print</button></li>
            <li><button type="button" @click="save">CSV</button></li>
            <li><RouterLink :to="{ name: 'plan-limits' }">Limits of the plan</RouterLink></li>
          </MoreMenu>
          <BButton v-if="!running" class="btn-act" @click="planAgain">Plan again</BButton>
          <BButton v-else class="btn-plain" @click="stop.mutate()">Stop looking</BButton>
        </div>
      </div>
      <p v-if="running" class="plate p-2 mb-2" role="status">
        {{ run.data.value?.said }} The best plan so far stands when you stop.
      </p>
      <PlanBroken :plan="data" @choose="chosen = $event" />
      <p v-if="!data.people.length" class="plate p-3">
        Nobody has working hours yet. <RouterLink :to="{ name: 'plan-limits' }">Give them</RouterLink>.
      </p>
      <PlanAway :plan="data" />
      <div v-if="data.people.length && view !== 'list'" class="no-print">
        <PlanBoard
          :plan="data"
          :view="view as BoardView"
          :broken="broken"
          :moving="state.moving"
          :chosen="chosen"
          @choose="chosen = $event"
          @hold="hold"
          @over="over"
          @drop="drop"
          @cancel="letGo()"
        />
      </div>
      <PlanList :class="{ 'on-paper': view !== 'list' }" :plan="data" @choose="chosen = $event" />
      <section v-if="data.movedSincePublished.length" class="plate p-3 mb-3" aria-label="What moved">
        <h2>Otherwise than in plan {{ data.published?.number }}, which was published</h2>
        <ul class="mb-0">
          <li v-for="m in data.movedSincePublished" :key="m.jobId">{{ m.sentence }}</li>
        </ul>
      </section>
      <div class="below no-print">
        <JobDetail v-if="job" :key="job.id" :job="job" :plan="data" @close="chosen = ''" />
        <ToPlan :plan="data" @choose="chosen = $event" />
        <PlanVersion :plan="data" />
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.span {
  width: 9rem;
}
.on-paper {
  display: none;
}
@media print {
  .on-paper {
    display: block;
  }
}
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 400px), 1fr));
  gap: 14px;
  align-items: start;
  margin-top: 12px;
}
</style>
