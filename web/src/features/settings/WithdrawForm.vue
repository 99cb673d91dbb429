<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { reactive } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { plural } from '../../shared/words/counts'

/** Takes an instrument out of use: what was measured with it since its last check is asked about. */
const props = defineProps<{ instrument: Schemas['InstrumentResponse'] }>()
const emit = defineEmits<{ done: [] }>()
const change = useWrite(writes.changeInstrument)
const typed = reactive({ why: '', suspectFrom: '' })
const form = useForm({
  check: () => ({ why: !typed.why.trim() && 'Say why, such as: the 0.20 blade is bent.' }),
  send: () =>
    change.mutateAsync({
      instrumentId: props.instrument.id,
      withdraw: true,
      why: typed.why,
      suspectFrom: typed.suspectFrom || null,
    }),
  done: (now) =>
    now.suspect.length
      ? `${now.name} is out of use; ${plural(now.suspect.length, 'visit')} to look at.`
      : `${now.name} is out of use; no visit rests on it.`,
  then: () => emit('done'),
})
</script>

<template>
  <form novalidate class="mt-1" @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="why" label="What is wrong with it">
      <BFormInput v-bind="bind" v-model="typed.why" autocomplete="off" />
    </Field>
    <Field
      v-slot="{ bind }"
      name="suspectFrom"
      label="Wrong since, if you know"
      hint="Else every visit since its last check is asked about."
    >
      <DayField v-bind="bind" v-model="typed.suspectFrom" />
    </Field>
    <FormEnd>Withdraw it</FormEnd>
  </form>
</template>
