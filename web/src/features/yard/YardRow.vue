<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import Runway from '../../instruments/Runway.vue'
import VerdictMark from '../../instruments/VerdictMark.vue'
import { decision, isOverdue } from '../../shared/words/due'
import { machineNames } from '../../shared/words/machines'

const props = defineProps<{ row: Schemas['DueRow']; span: number }>()
const figures = useFigures()
const said = computed(() => decision(props.row, figures))
const urgent = computed(() => props.row.decides.rule === 'finding' || props.row.driftsBeforeBook)
const edge = computed(() =>
  props.row.findings.length > 0 ? (props.row.findings[0]?.state ?? '') : isOverdue(props.row) ? 'late' : '',
)
</script>

<template>
  <RouterLink
    :id="`row-${row.engineId}`"
    :to="{ name: 'engine', params: { id: row.engineId } }"
    class="row-grid plate engine"
    :class="edge"
  >
    <span>
      <span class="name">{{ row.name }}</span>
      <span class="soft small"
        >{{ machineNames[row.machine] }} · {{ row.site
        }}<template v-if="row.openOverheadId"> · <strong>open now</strong></template></span
      >
    </span>
    <span class="figure"
      >{{ hours(row.hoursToday?.hours ?? row.shownHours) }} h<span
        v-if="row.hoursToday?.toBeRead"
        class="soft small d-block"
        >read {{ day(row.readOn) }}: to be read</span
      ></span
    >
    <Runway
      :early="row.driftEarlyHours"
      :at="row.findings.length > 0 ? 0 : row.driftHours"
      :late="row.driftLateHours"
      :book="row.bookHoursLeft"
      :side="row.findings[0] ? (row.findings[0].state === 'loose' ? 'loose' : 'tight') : row.driftSide"
      :urgent="urgent"
      :span="span"
    />
    <span class="decided" :class="`is-${said.tone}`">
      <VerdictMark :state="said.tone === 'ink' ? 'inWindow' : said.tone" />
      <span>
        <span class="main">{{ said.main }}</span>
        <span class="soft small">{{ said.below }}</span>
      </span>
    </span>
  </RouterLink>
</template>

<style scoped>
.engine {
  color: var(--ink);
  text-decoration: none;
  padding: 0.2rem 1.2rem;
  margin-bottom: 5px;
  min-height: 60px;
}
.engine:hover {
  border-color: var(--ink);
}
.engine.tight {
  box-shadow: inset 5px 0 0 var(--tight);
}
.engine.loose {
  box-shadow: inset 5px 0 0 var(--loose);
}
.engine.late {
  box-shadow: inset 5px 0 0 var(--ink);
}
.name,
.main {
  display: block;
  font-weight: 700;
  font-size: 1.03rem;
}
.decided {
  display: flex;
  gap: 0.6rem;
  align-items: flex-start;
}
.decided svg {
  margin-top: 5px;
}
</style>
