<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useElementVisibility } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { queries } from '../../api/queries'
import { useEver } from '../../shared/loaded/useEver'
import { weekOf } from './weekOf'

/** Who does what this week: what a lead hand says at the morning's table. */
const box = useTemplateRef<HTMLElement>('box')
const inSight = useElementVisibility(box)
// A plan is much to ask for on every look at the yard: it comes when somebody looks this far down.
const asked = useEver(() => inSight.value)
const plan = useQuery(() => ({ ...queries.plan(7), enabled: asked.value }))
const week = computed(() => (plan.data.value ? weekOf(plan.data.value) : []))
</script>

<template>
  <section ref="box" aria-label="This week">
    <h2 v-if="week.length" class="mt-3 mb-2">This week</h2>
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
