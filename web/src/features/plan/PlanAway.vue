<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { addDays } from '../../shared/figures/dayMath'
import { day } from '../../shared/figures/days'

/** Over the plan: who and what is away within it. */
const props = defineProps<{ plan: Schemas['PlanResponse'] }>()
const away = computed(() => props.plan.away.filter((a) => a.from < addDays(props.plan.from, props.plan.days)))
</script>

<template>
  <p class="away mb-2">
    <strong>Away:</strong>
    <template v-if="!away.length"> nobody and nothing.</template>
    <span v-for="a in away" :key="a.id" class="one">
      {{ a.who }}, {{ day(a.from) }}<template v-if="a.to !== a.from"> to {{ day(a.to) }}</template
      >: {{ a.why }}{{ a.laidUp ? ', laid up' : '' }}</span
    >
    <RouterLink class="no-print" :to="{ name: 'plan-limits' }">Change</RouterLink>
  </p>
</template>

<style scoped>
.away {
  padding: 0 0.75rem;
}
.one {
  margin: 0 0.5rem;
}
.one:not(:last-of-type)::after {
  content: ' ·';
  color: var(--ink-soft);
}
</style>
