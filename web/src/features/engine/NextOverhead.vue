<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import Runway from '../../instruments/Runway.vue'
import { day } from '../../shared/figures/days'
import { useFigures } from '../../shared/figures/useFigures'
import { decidesWhen, decision, ruleWords } from '../../shared/words/due'

/** When the next overhead is due, and what decides. */
const props = defineProps<{ row: Schemas['DueRow'] }>()
const figures = useFigures()
const said = computed(() => decision(props.row, figures))
const after = computed(() =>
  props.row.others
    .filter((o) => o.rule !== 'nothing')
    .map((o) => `${ruleWords[o.rule]}${o.date ? `, ${day(o.date)}` : ''}`)
    .join('; '),
)
</script>

<template>
  <section class="plate plate-strong p-3">
    <h2 class="small soft fw-normal">Next overhead</h2>
    <p class="banner" :class="`is-${said.tone}`">{{ decidesWhen(row) }}</p>
    <p class="small soft mb-1">{{ said.main }}; {{ said.below }}</p>
    <p v-if="row.trouble" class="complaint">{{ row.trouble }}</p>
    <Runway
      labels
      :early="row.driftEarlyHours"
      :at="row.findings.length > 0 ? 0 : row.driftHours"
      :late="row.driftLateHours"
      :book="row.bookHoursLeft"
      :side="row.findings[0] ? (row.findings[0].state === 'loose' ? 'loose' : 'tight') : row.driftSide"
      :urgent="row.decides.rule === 'finding' || row.driftsBeforeBook"
    />
    <p v-if="after" class="small soft mb-0 mt-1">Otherwise due: {{ after }}.</p>
  </section>
</template>

<style scoped>
.banner {
  font-size: 1.35rem;
  font-weight: 700;
  margin: 0.1rem 0 0.2rem;
}
</style>
