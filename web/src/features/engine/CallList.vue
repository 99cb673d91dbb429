<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { callText } from '../../shared/words/due'

/** Slips and follow-ups that are open; a signed visit answers them, or somebody says why they are none. */
defineProps<{ calls: Schemas['CallResponse'][] }>()
const close = useWrite(writes.closeCall)
const closing = ref('')
const why = ref('')
const form = useForm({
  check: () => ({ why: !why.value.trim() && 'Say why it is closed.' }),
  send: () => close.mutateAsync({ callId: closing.value, why: why.value }),
  done: () => 'Closed.',
  then: () => {
    closing.value = ''
    why.value = ''
  },
})
</script>

<template>
  <section v-if="calls.length" class="plate p-3" aria-label="Noticed">
    <h2>Noticed</h2>
    <div v-for="c in calls" :key="c.id" class="call">
      <p class="mb-1">
        {{ callText(c) }}
        <span class="small soft d-block">
          {{ day(c.at) }}<template v-if="c.who">, {{ c.who }}</template
          ><template v-if="c.date">; by {{ day(c.date) }}</template
          ><template v-if="c.atHours != null">; at {{ hours(c.atHours) }} total hours</template>
        </span>
      </p>
      <form v-if="closing === c.id" novalidate @submit.prevent="form.submit">
        <Field v-slot="{ bind }" name="why" label="What came of it">
          <BFormInput v-bind="bind" v-model="why" autocomplete="off" />
        </Field>
        <FormEnd>Close it</FormEnd>
      </form>
      <button v-else type="button" class="btn btn-plain" @click="closing = c.id">Close it…</button>
    </div>
  </section>
</template>

<style scoped>
.call {
  border-top: 1px solid var(--hairline);
  padding: 0.4rem 0;
}
</style>
