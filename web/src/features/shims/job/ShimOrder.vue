<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { useWrite, writes } from '../../../api/writes'
import { day } from '../../../shared/figures/days'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import Field from '../../../shared/fields/Field.vue'
import { useForm } from '../../../shared/forms/useForm'
import { usePreferences } from '../../../shared/preferences'
import { inches, size } from '../../../shared/words/shims'

/** What is on order: as a list on paper, a table, a mail to send; and one tap when it is here. */
const props = defineProps<{ job: Schemas['ShimJobResponse'] }>()
const preferences = usePreferences()
const happen = useWrite(writes.shimHappened)
const id = ref(newId())
const me = useMe()
const who = computed(() => me() ?? '')
const waits = computed(
  () => props.job.places.some((p) => p.origin === 'buy' && !p.fromDrawer) && props.job.state !== 'dropped',
)
const form = useForm({
  check: () => ({ who: !who.value && 'Say who took them in.' }),
  send: () => happen.mutateAsync({ jobId: props.job.id, id: id.value, kind: 'partsIn', who: who.value }),
  done: () => 'They are in, and lie on the tray.',
  then: () => (id.value = newId()),
})
</script>

<template>
  <section class="plate plate-strong p-3" aria-label="Order">
    <h2>{{ waits ? 'On order' : 'Bought' }}</h2>
    <table class="ledger mb-2">
      <thead class="visually-hidden">
        <tr>
          <th scope="col">Size</th>
          <th scope="col">How many</th>
          <th scope="col">For</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="b in job.buy" :key="b.sizeMm">
          <th scope="row" class="figure fw-normal text-nowrap">
            {{ size(b.sizeMm) }} mm<span class="d-block small soft">{{ inches(b.sizeMm) }}</span>
          </th>
          <td class="figure text-nowrap">× {{ b.count }}</td>
          <td class="small w-100">for {{ b.for.join(', ') }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="job.expectedOn && waits" class="small">Expected on {{ day(job.expectedOn) }}.</p>
    <p class="d-flex gap-2 flex-wrap no-print mb-2">
      <a class="btn btn-plain" :href="`/api/shim-jobs/${job.id}/order.csv`" download="shim order.csv">CSV</a>
      <a class="btn btn-plain" :href="`/api/shim-jobs/${job.id}/order.eml`" download="shim order.eml">Mail draft</a>
    </p>
    <form v-if="waits" class="no-print" novalidate @submit.prevent="form.submit">
      <Field v-if="!who" v-slot="{ bind }" name="who" label="Who takes them in">
        <PersonField v-bind="bind" v-model="preferences.person" />
      </Field>
      <button type="submit" class="btn btn-act w-100" :disabled="form.busy">The parts are in</button>
      <p v-if="form.rest" class="complaint mt-1 mb-0" role="alert">{{ form.rest }}</p>
    </form>
  </section>
</template>
