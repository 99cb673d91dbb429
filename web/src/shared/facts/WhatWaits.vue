<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { day } from '../figures/days'
import { jobWord } from '../words/jobs'

/** Points that wait for a part, from whatever visit they wait: found again at the next opening. */
defineProps<{ waiting: Schemas['AwaitingPoints'][] }>()
</script>

<template>
  <section class="plate p-3" aria-label="What waits">
    <h2 class="mb-1">What waits</h2>
    <p v-for="w in waiting" :key="w.visitId" class="mb-1">
      {{ w.points.join(', ') }} since {{ day(w.date) }}, from the {{ jobWord(w.job) }}
      <RouterLink :to="{ name: 'record', params: { id: w.visitId } }">The record</RouterLink>
    </p>
  </section>
</template>
