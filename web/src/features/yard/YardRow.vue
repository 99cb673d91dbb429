<script setup lang="ts">
import { computed } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import type { Schemas } from '../../api/client'
import Runway from '../../instruments/Runway.vue'
import StateMark from '../../instruments/StateMark.vue'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import { decision } from '../../shared/words/due'
import { nextText, plannedText } from '../../shared/words/next'

/** One engine of the yard: its mark, why, the hours ahead, and what is to be done next. */
const props = defineProps<{ row: Schemas['DueRow']; span: number }>()
const figures = useFigures()
const said = computed(() => decision(props.row, figures))
const urgent = computed(() => props.row.findings.length > 0 || props.row.driftsBeforeBook)
const where = computed<RouteLocationRaw | null>(() => {
  const { step, visitId, jobId } = props.row.next
  const engine = { id: props.row.engineId }
  switch (step) {
    case 'goOn':
      return { name: 'visit', params: { id: visitId! } }
    case 'openJob':
      return { name: 'job-card', params: { id: jobId! } }
    case 'planJob':
    case 'plan':
      return { name: 'plan' }
    case 'start':
      return { name: 'open', params: { engineId: props.row.engineId } }
    case 'readMeter':
      return { name: 'hours' }
    default:
      return { name: 'engine', params: engine }
  }
})
</script>

<template>
  <article class="row-grid plate engine">
    <StateMark class="wears" :state="row.mark" :size="26" />
    <span class="who">
      <RouterLink :id="`row-${row.engineId}`" class="name" :to="{ name: 'engine', params: { id: row.engineId } }">{{
        row.name
      }}</RouterLink>
      <span class="soft small"
        >{{ row.site }} · <span class="figure">{{ hours(row.hoursToday?.hours ?? row.shownHours) }} h</span
        ><template v-if="row.hoursToday?.toBeRead">, read {{ day(row.readOn) }}: to be read</template
        ><template v-if="row.openOverheadId"> · <strong>open now</strong></template></span
      >
    </span>
    <span class="why" :class="`is-${row.mark === 'tight' || row.mark === 'loose' ? row.mark : 'ink'}`">
      <span class="main">{{ said.main }}</span>
      <span class="soft small">{{ plannedText(row.next) || said.below }}</span>
    </span>
    <Runway
      :early="row.driftEarlyHours"
      :at="row.findings.length > 0 ? 0 : row.driftHours"
      :late="row.driftLateHours"
      :book="row.bookHoursLeft"
      :side="row.findings[0] ? (row.findings[0].state === 'loose' ? 'loose' : 'tight') : row.driftSide"
      :urgent="urgent"
      :span="span"
    />
    <RouterLink v-if="row.next.step !== 'none' && where" class="next" :to="where"
      >{{ nextText(row.next) }} ›</RouterLink
    >
    <span v-else />
  </article>
</template>

<style scoped>
.engine {
  padding: 0.35rem 1rem;
  margin-bottom: 4px;
  min-height: 60px;
}
.name {
  display: block;
  font-weight: 700;
  font-size: 1.03rem;
  color: var(--ink);
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
.main {
  display: block;
  font-weight: 700;
}
.next {
  font-weight: 700;
  text-decoration: none;
  min-height: 44px;
  display: flex;
  align-items: center;
}
.next:hover {
  text-decoration: underline;
}
</style>
