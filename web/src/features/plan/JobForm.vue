<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { reactive } from 'vue'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** A job made by hand: what, on which engine, by when, and what it waits for. */
const emit = defineEmits<{ added: [] }>()
const yard = useQuery(() => queries.yard())
const add = useWrite(writes.addJob)
const id = newId()
const typed = reactive({
  engineId: '',
  title: '',
  dueDate: '',
  hours: '',
  crew: '1',
  tool: '',
  part: '',
  leadDays: '',
  opens: false,
})
const form = useForm({
  check: () => ({
    engineId: !typed.engineId && 'Choose the engine.',
    title: !typed.title.trim() && 'Say what is to be done.',
    hours: notANumber(typed.hours),
    'parts[0].leadDays': notANumber(typed.leadDays),
  }),
  send: () =>
    add.mutateAsync({
      id,
      engineId: typed.engineId,
      title: typed.title,
      dueDate: typed.dueDate || null,
      hours: typedNumber(typed.hours) ?? null,
      crew: Number(typed.crew),
      opens: typed.opens,
      ...(typed.tool.trim() ? { tools: typed.tool.split(/[,;]+/).map((t) => t.trim()) } : {}),
      ...(typed.part.trim()
        ? { parts: [{ name: typed.part, leadDays: typedNumber(typed.leadDays) ?? 0, orderedOn: null, here: false }] }
        : {}),
    }),
  done: () => 'Added; plan again to give it a day.',
  then: () => emit('added'),
})
</script>

<template>
  <form novalidate class="mt-2 two-columns" @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="engineId" label="Engine">
      <BFormSelect v-bind="bind" v-model="typed.engineId">
        <option value="">choose…</option>
        <option v-for="e in yard.data.value?.engines ?? []" :key="e.engineId" :value="e.engineId">{{ e.name }}</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" name="title" label="What is to be done">
      <BFormInput v-bind="bind" v-model="typed.title" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="dueDate" label="By when"><DayField v-bind="bind" v-model="typed.dueDate" /></Field>
    <Field v-slot="{ bind }" name="hours" label="Hours, if you know better">
      <NumberField v-bind="bind" v-model="typed.hours" unit="h" />
    </Field>
    <Field v-slot="{ bind }" name="crew" label="How many it takes">
      <BFormSelect v-bind="bind" v-model="typed.crew" :options="['1', '2']" />
    </Field>
    <Field v-slot="{ bind }" name="tools[0]" label="Tools there are few of">
      <BFormInput v-bind="bind" v-model="typed.tool" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="parts[0].name" label="A part to order">
      <BFormInput v-bind="bind" v-model="typed.part" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="parts[0].leadDays" label="Days until it is here">
      <NumberField v-bind="bind" v-model="typed.leadDays" />
    </Field>
    <label class="end ticked">
      <input v-model="typed.opens" type="checkbox" />
      Other work that opens the engine, such as injectors or an oil service: an overhead can go with it
    </label>
    <div class="end"><FormEnd>Add the job</FormEnd></div>
  </form>
</template>

<style scoped>
.end {
  grid-column: 1 / -1;
}
</style>
