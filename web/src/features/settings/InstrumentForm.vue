<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { reactive } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { typedBlades } from '../../shared/figures/typedBlades'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { instrumentNames } from '../../shared/words/instruments'

/** Adds a blade set, a micrometer or a dial. */
const emit = defineEmits<{ added: [] }>()
const add = useWrite(writes.addInstrument)
const id = newId()
const typed = reactive({ name: '', kind: 'bladeSet' as Schemas['InstrumentKind'], unit: 'mm', blades: '', checked: '' })
const blades = () => typedBlades(typed.blades)
const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give what is written on it.',
    blades:
      typed.kind === 'bladeSet' &&
      !blades().length &&
      'Name the blades of the set, one after another, such as 0.10 0.15 0.20.',
  }),
  send: () =>
    add.mutateAsync({
      id,
      name: typed.name,
      kind: typed.kind,
      checked: typed.checked || null,
      ...(typed.kind === 'bladeSet' ? { unit: typed.unit, blades: blades() } : {}),
    }),
  done: (made) => `${made.name} can be chosen now.`,
  then: () => emit('added'),
})
</script>

<template>
  <form novalidate class="mt-2" @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="name" label="What is written on it">
      <BFormInput v-bind="bind" v-model="typed.name" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="kind" label="It is a">
      <BFormSelect v-bind="bind" v-model="typed.kind">
        <option v-for="(name, kind) in instrumentNames" :key="kind" :value="kind">{{ name }}</option>
      </BFormSelect>
    </Field>
    <template v-if="typed.kind === 'bladeSet'">
      <Field v-slot="{ bind }" name="blades" label="Its blades, one after another">
        <BFormInput v-bind="bind" v-model="typed.blades" placeholder="0.10 0.15 0.20 0.25" />
      </Field>
      <Field v-slot="{ bind }" name="unit" label="Written in">
        <BFormSelect v-bind="bind" v-model="typed.unit" :options="['mm', 'thou']" />
      </Field>
    </template>
    <Field v-slot="{ bind }" name="checked" label="Found right on" hint="Leave it empty where nobody knows.">
      <DayField v-bind="bind" v-model="typed.checked" />
    </Field>
    <FormEnd>Add</FormEnd>
  </form>
</template>
