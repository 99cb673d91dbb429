<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { weekOf } from './weekOf'

/** Who does what this week: what a lead hand says at the morning's table. */
const plan = useQuery(() => queries.plan(7))
const week = computed(() => (plan.data.value ? weekOf(plan.data.value) : []))
</script>

<template>
  <section v-if="week.length" aria-label="This week">
    <h2 class="mt-3 mb-2">This week</h2>
    <div class="people">
      <div v-for="person in week" :key="person.id" class="plate p-2">
        <p class="mb-1">
          <strong>{{ person.name }}</strong> <span class="soft">{{ person.places.join(', ') }}</span>
          <span v-if="person.away" class="away">{{ person.away }}</span>
        </p>
        <p v-for="d in person.days" :key="d.day" class="mb-0">
          <span class="soft">{{ d.day }}</span>
          <template v-for="(job, i) in d.jobs" :key="job.id"
            >{{ i ? ', ' : ' '
            }}<RouterLink :to="{ name: 'job-card', params: { id: job.id } }">{{ job.engine }}</RouterLink
            ><template v-if="job.with"> with {{ job.with }}</template></template
          >
        </p>
        <p v-if="!person.days.length && !person.away" class="soft mb-0">Nothing planned.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.away::before {
  content: ' · ';
}
.people {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 0.6rem;
}
</style>
