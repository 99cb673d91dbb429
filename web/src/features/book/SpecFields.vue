<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { useFormState } from '../../shared/forms/useForm'
import { kindWord } from '../../shared/words/points'
import type { SpecForm } from './specForm'

/** The clearances of one revision with where they come from. */
const spec = defineModel<SpecForm>({ required: true })
const props = defineProps<{
  /** Before the fields' names on the server, where the revision is part of a whole type. */
  within?: string
}>()
const form = useFormState()
const of = (name: string) => `${props.within ?? ''}${name}`
const figures = [
  'lines',
  'min',
  'max',
  'set',
  'single',
  'minMm',
  'maxMm',
  'setMm',
  'figureMm',
  'goMm',
  'noGoMm',
  'unit',
]
for (const name of figures) form?.shows(of(name))
const said = computed(() => figures.map((name) => form?.complaint(of(name))).find(Boolean))
</script>

<template>
  <div class="grid">
    <Field v-slot="{ bind }" :name="of('revision')" label="Revision">
      <BFormInput v-bind="bind" v-model="spec.revision" placeholder="A" />
    </Field>
    <Field v-slot="{ bind }" :name="of('date')" label="Dated"><DayField v-bind="bind" v-model="spec.date" /></Field>
    <Field v-slot="{ bind }" label="For a">
      <BFormSelect v-bind="bind" v-model="spec.condition">
        <option value="cold">cold engine</option>
        <option value="hot">hot engine</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" label="Unit">
      <BFormSelect v-bind="bind" v-model="spec.unit" :options="['mm', 'thou']" />
    </Field>
  </div>
  <Field v-slot="{ bind }" :name="of('source')" label="Source: plate, manual, bulletin, camshaft maker">
    <BFormInput v-bind="bind" v-model="spec.source" />
  </Field>
  <table class="w-100">
    <caption class="visually-hidden">
      Clearances in
      {{
        spec.unit
      }}
    </caption>
    <thead class="caps">
      <tr>
        <th scope="col"><span class="visually-hidden">Kind</span></th>
        <th scope="col">From</th>
        <th scope="col">To</th>
        <th scope="col">Set</th>
        <th scope="col">or one figure</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in spec.lines" :key="line.kind">
        <th scope="row">{{ kindWord(line.kind) }}</th>
        <td
          v-for="[key, name] in [
            ['min', 'from'],
            ['max', 'to'],
            ['set', 'set'],
            ['single', 'one figure'],
          ] as const"
          :key="key"
        >
          <BFormInput
            v-model="line[key]"
            class="figure"
            inputmode="decimal"
            :aria-label="`${line.kind} ${name}`"
            :aria-invalid="said ? 'true' : undefined"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="said" class="complaint mb-0" role="alert">{{ said }}</p>
  <p class="small soft mb-0 mt-1">
    A single figure gets the fleet’s own tolerance, wider on the loose side, and says so wherever it is shown.
  </p>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr 1fr;
  gap: 0 0.8rem;
}
th {
  font-weight: 400;
}
td,
th {
  padding: 0.15rem 0.3rem 0.15rem 0;
}
@media (max-width: 600px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
