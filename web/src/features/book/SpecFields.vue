<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import Field from '../../app/Field.vue'
import type { SpecForm } from './specForm'

const form = defineModel<SpecForm>({ required: true })
defineProps<{ complaint: (field: string) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <Field v-slot="{ id }" label="Revision" :complaint="complaint('spec.revision')">
      <BFormInput :id="id" v-model="form.revision" placeholder="A" />
    </Field>
    <Field v-slot="{ id }" label="Dated" :complaint="complaint('spec.date')">
      <BFormInput :id="id" v-model="form.date" type="date" />
    </Field>
    <Field v-slot="{ id }" label="For a">
      <BFormSelect :id="id" v-model="form.condition">
        <option value="cold">cold engine</option>
        <option value="hot">hot engine</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ id }" label="Unit"><BFormSelect :id="id" v-model="form.unit" :options="['mm', 'thou']" /></Field>
  </div>
  <Field v-slot="{ id }" label="Source: plate, manual, bulletin, camshaft maker" :complaint="complaint('spec.source')">
    <BFormInput :id="id" v-model="form.source" />
  </Field>
  <table class="w-100">
    <thead class="caps">
      <tr>
        <td></td>
        <td>From</td>
        <td>To</td>
        <td>Set</td>
        <td>or one figure</td>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in form.lines" :key="line.kind">
        <td>{{ line.kind }}</td>
        <td><BFormInput v-model="line.min" inputmode="decimal" :aria-label="`${line.kind} from`" /></td>
        <td><BFormInput v-model="line.max" inputmode="decimal" :aria-label="`${line.kind} to`" /></td>
        <td><BFormInput v-model="line.set" inputmode="decimal" :aria-label="`${line.kind} set`" /></td>
        <td><BFormInput v-model="line.single" inputmode="decimal" :aria-label="`${line.kind} single figure`" /></td>
      </tr>
    </tbody>
  </table>
  <p
    v-for="f in [
      'spec.lines',
      'spec.min',
      'spec.max',
      'spec.set',
      'spec.single',
      'spec.minMm',
      'spec.maxMm',
      'spec.setMm',
      'spec.singleMm',
      'spec.fleet.toleranceTightMm',
    ]"
    :key="f"
    class="mb-0"
  >
    <span v-if="complaint(f)" class="complaint" role="alert">{{ complaint(f) }}</span>
  </p>
  <p class="small soft mb-0 mt-1">
    A single figure gets the fleet's own tolerance, wider on the loose side, and says so wherever it is shown.
  </p>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0 0.8rem;
}
td {
  padding: 0.15rem 0.3rem 0.15rem 0;
}
</style>
