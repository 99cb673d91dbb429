<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { counted, form } from '../../shared/words/counts'

/** Something broke: what stands where it can stand no more, and why. */
defineProps<{ plan: Schemas['PlanResponse'] }>()
defineEmits<{ choose: [jobId: string] }>()
</script>

<template>
  <section v-if="plan.broken.length" class="plate plate-strong p-3 mb-2 no-print" aria-label="Cannot stand">
    <h2>
      {{ counted(plan.broken.length) }} {{ form(plan.broken.length, 'job', 'jobs') }} can no longer stand where
      {{ form(plan.broken.length, 'it is', 'they are') }}
    </h2>
    <ul class="plain-list mb-1">
      <li v-for="b in plan.broken" :key="b.jobId">
        <button type="button" class="text-link" @click="$emit('choose', b.jobId)">
          {{ plan.jobs.find((j) => j.id === b.jobId)?.engine }}</button>: {{ b.reason }}
      </li>
    </ul>
    <p class="small soft mb-0">Plan again: only what must moves, and what moved is listed.</p>
  </section>
</template>
