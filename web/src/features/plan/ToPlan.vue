<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { plural } from '../../shared/words/counts'
import { workText } from '../../shared/words/plan'
import CheapMoments from './CheapMoments.vue'
import JobForm from './JobForm.vue'
import JobReleases from './JobReleases.vue'

/** What has no day yet, with why, and what must be ordered. */
const props = defineProps<{ plan: Schemas['PlanResponse'] }>()
const emit = defineEmits<{ choose: [jobId: string] }>()
const adding = ref(false)
const asked = ref('')
const without = (later: boolean) =>
  props.plan.withoutDay
    .filter((w) => w.later === later)
    .map((w) => ({ ...w, job: props.plan.jobs.find((j) => j.id === w.jobId)! }))
    .filter((w) => w.job)
const left = computed(() => without(false))
const later = computed(() => without(true))
const toOrder = computed(() => props.plan.jobs.filter((j) => j.orderBy))
</script>

<template>
  <section class="plate p-3" aria-label="Without a day">
    <h2>{{ left.length ? `${plural(left.length, 'job')} without a day` : 'Every job has its day' }}</h2>
    <ul class="plain-list">
      <li v-for="w in left" :key="w.jobId">
        <button type="button" class="text-link" @click="emit('choose', w.jobId)">{{ w.job.engine }}</button>,
        {{ w.job.title }},
        {{ workText(w.job.time) }}
        <span class="small soft d-block">{{ w.reason }}</span>
        <JobReleases v-if="asked === w.jobId" :job-id="w.jobId" :days="plan.days" :people="plan.people" />
        <button v-else type="button" class="btn btn-plain btn-sm" @click="asked = w.jobId">
          What would make it fit?
        </button>
      </li>
    </ul>
    <details v-if="later.length">
      <summary>{{ plural(later.length, 'job') }} due after this plan</summary>
      <ul class="plain-list">
        <li v-for="w in later" :key="w.jobId">
          <button type="button" class="text-link" @click="emit('choose', w.jobId)">{{ w.job.engine }}</button>,
          {{ w.job.title }}
          <span class="small soft d-block">{{ w.reason }}</span>
        </li>
      </ul>
    </details>
    <template v-if="toOrder.length">
      <h3 class="sub mt-3">To order</h3>
      <ul class="plain-list">
        <li v-for="j in toOrder" :key="j.id">
          <button type="button" class="text-link" @click="emit('choose', j.id)">{{ j.engine }}</button>:
          {{
            j.parts
              .filter((p) => !p.here && !p.orderedOn)
              .map((p) => p.name)
              .join(', ')
          }}, <strong v-if="j.orderBy! <= plan.today">today</strong><template v-else>by {{ day(j.orderBy) }}</template>
        </li>
      </ul>
    </template>
    <CheapMoments :moments="plan.cheapMoments" />
    <JobForm v-if="adding" @added="adding = false" />
    <BButton v-else class="btn-plain mt-2" @click="adding = true">Add a job…</BButton>
  </section>
</template>

<style scoped>
li {
  padding: 0.35rem 0;
  border-top: 1px solid var(--hairline);
}
</style>
