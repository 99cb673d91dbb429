<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import { useTitle } from '../../shared/address/useTitle'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { day } from '../../shared/figures/days'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTyped } from '../../shared/forms/useTyped'
import Loaded from '../../shared/loaded/Loaded.vue'
import { symptomWords } from '../../shared/words/due'

/** An operator's slip, or a promise to look again: a few taps on a phone, and the engine comes forward by it. */
const props = defineProps<{ engineId: string }>()
const router = useRouter()
const engine = useQuery(() => queries.engine(props.engineId))
const add = useWrite(writes.addCall)
const { typed, forget } = useTyped(`slip:${props.engineId}`, {
  id: newId(),
  symptoms: [] as Schemas['Symptom'][],
  what: '',
  who: '',
  date: '',
  inHours: '',
})
useTitle(() => engine.data.value && `Report a problem: ${engine.data.value.row.name}`)
const form = useForm({
  check: () => ({
    symptoms:
      !typed.symptoms.length && !typed.what.trim() && 'Tick what you noticed, or write what is to be looked at.',
    inHours: notANumber(typed.inHours),
    date:
      !typed.symptoms.length &&
      !!typed.what.trim() &&
      !typed.date &&
      !typed.inHours.trim() &&
      'Give the day, or after how many engine hours.',
  }),
  send: () =>
    add.mutateAsync({
      engineId: props.engineId,
      id: typed.id,
      symptoms: typed.symptoms,
      what: typed.what || null,
      who: typed.who || null,
      date: typed.date || null,
      inHours: typedNumber(typed.inHours) ?? null,
    }),
  done: (row) => `Noted; ${row.name} is due ${day(row.decides.date)}.`,
  then: () => {
    forget()
    void router.push({ name: 'engine', params: { id: props.engineId } })
  },
})
</script>

<template>
  <Loaded v-slot="{ data }" :query="engine" what="engine" back="/" back-text="The yard">
    <main class="page narrow">
      <div class="page-head">
        <h1>{{ data.row.name }}: something is wrong</h1>
      </div>
      <form class="plate p-3" novalidate @submit.prevent="form.submit">
        <p class="complaint">
          Knocking, a sudden loss of power or a dead cylinder: stop it, do not run it to find out.
        </p>
        <fieldset class="mb-2">
          <legend class="form-label">What did you notice?</legend>
          <label v-for="(name, symptom) in symptomWords" :key="symptom" class="check">
            <input v-model="typed.symptoms" type="checkbox" :value="symptom" />
            {{ name.replace(/^./, (c: string) => c.toUpperCase()) }}
          </label>
          <p v-if="form.complaint('symptoms')" class="complaint">{{ form.complaint('symptoms') }}</p>
        </fieldset>
        <Field v-slot="{ bind }" name="what" label="In your own words">
          <BFormInput v-bind="bind" v-model="typed.what" autocomplete="off" />
        </Field>
        <Field v-slot="{ bind }" name="who" label="Your name">
          <BFormInput v-bind="bind" v-model="typed.who" autocomplete="off" />
        </Field>
        <template v-if="!typed.symptoms.length">
          <p class="small soft mb-1">No symptom, but to be looked at again: by a day, or after so many engine hours.</p>
          <Field v-slot="{ bind }" name="date" label="By"><DayField v-bind="bind" v-model="typed.date" /></Field>
          <Field v-slot="{ bind }" name="inHours" label="Or after">
            <NumberField v-bind="bind" v-model="typed.inHours" unit="h" />
          </Field>
        </template>
        <FormEnd>Send it to the depot</FormEnd>
      </form>
    </main>
  </Loaded>
</template>

<style scoped>
.narrow {
  max-width: 640px;
}
.check {
  display: flex;
  align-items: center;
  gap: 0.7rem;
  min-height: 48px;
  border-top: 1px solid var(--hairline);
}
.check input {
  width: 24px;
  height: 24px;
}
</style>
