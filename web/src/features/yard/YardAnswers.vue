<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { counted, form } from '../../shared/words/counts'

/** What a manager asks of a morning: what is due, can it be done, who has too much, what must be ordered today. */
const outlook = useQuery(() => queries.planOutlook())
const lines = computed(() => {
  const o = outlook.data.value
  if (!o || !o.due) return []
  const said = [
    `${counted(o.due)} ${form(o.due, 'engine falls', 'engines fall')} due by ${day(o.until)}.`,
    o.hoursThere
      ? `${hours(o.hoursNeeded)} h of work, ${hours(o.hoursThere)} h available${o.withoutJob ? `; ${o.withoutJob} not planned yet` : ''}.`
      : 'Nobody has working hours yet.',
  ]
  if (o.notFitting) said.push(`${counted(o.notFitting)} ${form(o.notFitting, 'does', 'do')} not fit.`)
  if (o.overloaded.length) said.push(`Too full: ${o.overloaded.join('; ')}.`)
  if (o.orderToday.length) said.push(`To order today: ${o.orderToday.join('; ')}.`)
  return said
})
</script>

<template>
  <p v-if="lines.length" class="answers small mb-2">
    {{ lines.join(' ') }}
    <RouterLink to="/due">Due by week</RouterLink> · <RouterLink to="/plan">The plan</RouterLink> ·
    <RouterLink to="/year">The year</RouterLink>
  </p>
</template>

<style scoped>
.answers {
  padding: 0 0.75rem;
}
</style>
