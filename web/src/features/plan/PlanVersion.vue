<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import { moment } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { plural } from '../../shared/words/counts'
import PlanVersions from './PlanVersions.vue'

/** The draft becomes the plan that is followed; calendars follow what is published. */
const props = defineProps<{ plan: Schemas['PlanResponse'] }>()
const publish = useWrite(writes.publishPlan)
const who = ref('')
const form = useForm({
  check: () => ({}),
  send: () => publish.mutateAsync({ who: who.value || null }),
  done: (version) => `Published: plan ${version.number}.`,
})
const machines = useQuery(() => queries.machines())
const feeds = computed(() => [
  { name: 'everybody', address: '/api/plan/calendar.ics' },
  ...props.plan.people.map((p) => ({ name: p.name, address: `/api/plan/calendar.ics?person=${p.id}` })),
])
/** Of the machines that have a job. */
const ofMachines = computed(() => {
  const planned = new Set(props.plan.jobs.map((j) => j.machine))
  return (machines.data.value ?? [])
    .filter((m) => planned.has(m.name))
    .map((m) => ({ name: m.name, address: `/api/plan/calendar.ics?machine=${m.id}` }))
})
</script>

<template>
  <section class="plate p-3" aria-label="Published">
    <h2>
      {{ plan.published ? (plan.changed ? 'The draft has changed' : 'The draft is the plan') : 'Not published yet' }}
    </h2>
    <p v-if="plan.published" class="small soft">
      Plan {{ plan.published.number }}, {{ plural(plan.published.jobs, 'job') }}, published
      {{ moment(plan.published.publishedAt) }}<template v-if="plan.published.who"> by {{ plan.published.who }}</template
      >. Earlier ones are kept.
    </p>
    <PlanVersions v-if="plan.published" />
    <form v-if="plan.changed" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="who" label="Who publishes">
        <BFormInput v-bind="bind" v-model="who" autocomplete="off" />
      </Field>
      <FormEnd>Publish it</FormEnd>
    </form>
    <h3 class="sub mt-3">Calendars</h3>
    <p class="small soft mb-1">To subscribe to, or to keep as a file; of what is published.</p>
    <ul class="plain-list mb-0">
      <li v-for="f in feeds" :key="f.address">
        <a :href="f.address" :download="`${f.name}.ics`">{{ f.name }}</a>
      </li>
    </ul>
    <details v-if="ofMachines.length" class="mt-2">
      <summary>Of a machine</summary>
      <ul class="plain-list mb-0">
        <li v-for="f in ofMachines" :key="f.address">
          <a :href="f.address" :download="`${f.name}.ics`">{{ f.name }}</a>
        </li>
      </ul>
    </details>
  </section>
</template>
