<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, sentence } from '../../api/client'
import { day, hours, useFigures } from '../../app/figures'
import Runway from '../../instruments/Runway.vue'
import { decision, machineNames } from '../yard/yardWords'
import EngineFacts from './EngineFacts.vue'
import EngineHeads from './EngineHeads.vue'
import EngineLedger from './EngineLedger.vue'
import MeterDialog from './MeterDialog.vue'

const ClearanceChart = defineAsyncComponent(() => import('./ClearanceChart.vue'))

const props = defineProps<{ id: string }>()
const router = useRouter()
const figures = useFigures()
const { data, error } = useQuery({
  queryKey: ['engine', () => props.id],
  queryFn: () => answer(api.GET('/api/engines/{id}', { params: { path: { id: props.id } } })),
})
const picked = ref<string | null>(null)
const meter = ref(false)
const point = computed(() => {
  const points = data.value?.points ?? []
  const wanted = picked.value ?? data.value?.row.findings[0]?.point ?? data.value?.row.driftPoint
  return points.find((p) => p.label === wanted) ?? points[0]
})
const said = computed(() => (data.value ? decision(data.value.row, figures.figure, figures.rate) : null))
const banner = computed(() => {
  const row = data.value?.row
  if (!row) return ''
  if (row.findings[0]) return `${row.findings[0].point} decides: now`
  if (row.decides.rule === 'drift')
    return `${row.driftPoint} decides: ${row.decides.hours && row.decides.hours > 0 ? `in ${hours(row.decides.hours)} h` : 'now'}`
  if (row.decides.rule === 'nothing')
    return row.hasFigures
      ? row.noInterval
        ? 'No interval given: add hours or months'
        : 'No limit in sight'
      : 'Not opened on record yet'
  return row.decides.hours !== null && row.decides.hours < 0
    ? `The book decides: overdue ${hours(-row.decides.hours)} h`
    : `The book decides: ${row.decides.hours === null ? day(row.decides.date) : `in ${hours(row.decides.hours)} h`}`
})
const open = (job: string) => router.push({ name: 'start-overhead', params: { engineId: props.id }, query: { job } })
</script>

<template>
  <main class="page">
    <p v-if="error" class="complaint">{{ sentence(error) }}</p>
    <template v-if="data && said">
      <div class="page-head">
        <div>
          <h1>{{ data.row.name }}</h1>
          <p class="soft small mb-0 mt-1">
            {{ machineNames[data.row.machine] }}, {{ data.row.site }} · {{ data.type.name }}, type
            <RouterLink :to="{ name: 'book', params: { id: data.type.id } }">{{ data.type.code }}</RouterLink>
            · <span class="figure">{{ hours(data.row.shownHours) }}</span> h<template
              v-if="Math.abs(data.totalHours - data.row.shownHours) > 0.5"
            >
              on the meter, {{ hours(data.totalHours) }} h in all</template
            >
            · {{ Math.round(data.row.hoursPerWeek) }} h a week
          </p>
        </div>
        <div class="d-flex gap-2 flex-wrap">
          <BButton
            v-if="data.row.openOverheadId"
            class="btn-act"
            :to="{ name: 'overhead', params: { id: data.row.openOverheadId } }"
            >Go on with the open overhead</BButton
          >
          <template v-else>
            <BButton class="btn-act" @click="open('overhead')">Start an overhead</BButton>
            <BButton class="btn-plain" @click="open('spotCheck')">Spot check</BButton>
          </template>
          <BButton class="btn-plain" @click="meter = true">Read the meter</BButton>
          <BButton class="btn-plain" :href="`/api/logbook/export?engine=${id}`" download="logbook.csv"
            >Logbook file</BButton
          >
        </div>
      </div>

      <div class="board">
        <div>
          <EngineHeads :points="data.points" :picked="point?.label" @pick="picked = $event" />
          <ClearanceChart
            v-if="point"
            class="mt-2"
            :point="point"
            :total-hours="data.totalHours"
            :points="data.points"
            @pick="picked = $event"
          />
        </div>
        <aside>
          <section class="plate plate-strong p-3">
            <span class="small soft">Next overhead</span>
            <p class="banner" :class="`is-${said.tone}`">{{ banner }}</p>
            <p class="small soft mb-1">{{ said.main }}; {{ said.below }}</p>
            <Runway
              labels
              :early="data.row.driftEarlyHours"
              :at="data.row.findings.length > 0 ? 0 : data.row.driftHours"
              :late="data.row.driftLateHours"
              :book="data.row.bookHoursLeft"
              :side="
                data.row.findings[0] ? (data.row.findings[0].state === 'loose' ? 'loose' : 'tight') : data.row.driftSide
              "
              :urgent="data.row.decides.rule === 'finding' || data.row.decides.rule === 'drift'"
            />
            <p v-if="data.row.others.length" class="small soft mb-0 mt-1">
              Behind it:
              <span v-for="(o, i) in data.row.others" :key="i"
                >{{ i ? '; ' : ''
                }}{{
                  {
                    drift: 'drift',
                    bookHours: 'book hours',
                    bookMonths: 'book months',
                    firstCheck: 'first check',
                    finding: 'finding',
                    nothing: '',
                  }[o.rule]
                }}{{ o.date ? `, ${day(o.date)}` : '' }}</span
              >.
            </p>
          </section>
          <EngineFacts class="mt-2" :type="data.type" />
        </aside>
      </div>

      <EngineLedger class="mt-3" :rows="data.ledger" />
      <MeterDialog v-model="meter" :engine-id="id" :readings="data.meter" />
    </template>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 366px;
  gap: 0.9rem;
  align-items: start;
}
.banner {
  font-size: 1.35rem;
  font-weight: 700;
  margin: 0.1rem 0 0.2rem;
}
@media (max-width: 1050px) {
  .board {
    grid-template-columns: 1fr;
  }
}
</style>
