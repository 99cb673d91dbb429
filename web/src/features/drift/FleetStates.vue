<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'

/** The share of engines in each state, drawn to scale and named. */
const props = defineProps<{ states: Schemas['FleetStates'] }>()
const parts = computed(() =>
  [
    { key: 'found', text: 'out of limits, waits to be set', n: props.states.found },
    { key: 'overdue', text: 'past its interval', n: props.states.overdue },
    { key: 'drifting', text: 'worth an early look', n: props.states.drifting },
    { key: 'quiet', text: 'quiet', n: props.states.quiet },
    { key: 'unknown', text: 'never measured', n: props.states.unknown },
  ].filter((p) => p.n > 0),
)
</script>

<template>
  <section v-if="parts.length" class="plate p-3" aria-label="Engines by state">
    <ul class="states plain-list mb-0">
      <li v-for="p in parts" :key="p.key" :class="p.key" :style="{ flexGrow: p.n }">
        <strong class="figure">{{ p.n }}</strong>
        <span>{{ p.text }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.states {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.states li {
  flex: 1 1 120px;
  min-width: 110px;
  padding: 0.4rem 0.6rem;
  border: 0;
  border-top: 6px solid var(--line);
  line-height: 1.2;
}
.states strong {
  display: block;
  font-size: 1.3rem;
}
.states .found {
  border-top-color: var(--ink);
}
.states .overdue,
.states .drifting {
  border-top-color: var(--blue);
}
.states .unknown {
  border-top-style: dashed;
}
</style>
