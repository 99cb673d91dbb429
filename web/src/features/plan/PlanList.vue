<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { workText } from '../../shared/words/plan'
import { planLines } from './planLines'

/** The plan as a list by days: to read, to print, and what the board says for whoever cannot see it. */
const props = defineProps<{ plan: Schemas['PlanResponse'] }>()
defineEmits<{ choose: [jobId: string] }>()
const lines = computed(() => planLines(props.plan))
</script>

<template>
  <div class="table-responsive plate p-3">
    <table class="table small mb-0">
      <caption class="visually-hidden">
        The plan by days
      </caption>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Who</th>
          <th scope="col">Engine</th>
          <th scope="col">Where</th>
          <th scope="col">What</th>
          <th scope="col">Hours</th>
          <th scope="col">Due</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in lines" :key="l.job.id">
          <td class="text-nowrap">
            {{ day(l.at.date) }}<template v-if="l.at.lastDate !== l.at.date"> to {{ day(l.at.lastDate) }}</template>
          </td>
          <td>{{ l.who }}</td>
          <td>
            <button type="button" class="text-link text-start" @click="$emit('choose', l.job.id)">
              {{ l.job.engine }}
            </button>
          </td>
          <td>{{ l.job.site }}</td>
          <td>
            {{ l.job.title }}<template v-if="l.job.tools.length">; {{ l.job.tools.join(', ') }}</template
            ><template v-for="w in l.job.waiting" :key="w.visitId">; waits: {{ w.points.join(', ') }}</template>
          </td>
          <td>{{ workText(l.job.time) }}</td>
          <td class="text-nowrap">{{ l.job.dueDate ? day(l.job.dueDate) : '' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
