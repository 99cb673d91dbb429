<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { useFormState } from '../../shared/forms/useForm'
import { lineFields } from '../../shared/spec/specLine'
import SpecLineFields from '../../shared/spec/SpecLineFields.vue'
import type { SpecForm } from './specForm'

/** The clearances of one revision with where they come from. */
const spec = defineModel<SpecForm>({ required: true })
const props = defineProps<{
  /** The kinds of point to ask for; intake and exhaust where not said. */
  kinds?: Schemas['LashKind'][]
}>()
const lines = computed(() => spec.value.lines.filter((l) => (props.kinds ?? ['intake', 'exhaust']).includes(l.kind)))
const form = useFormState()
const figures = ['lines', ...lineFields]
for (const name of figures) form?.shows(name)
const said = computed(() => figures.map((name) => form?.complaint(name)).find(Boolean))
</script>

<template>
  <div class="grid">
    <Field v-slot="{ bind }" name="revision" label="Revision">
      <BFormInput v-bind="bind" v-model="spec.revision" placeholder="A" />
    </Field>
    <Field v-slot="{ bind }" name="date" label="Dated"><DayField v-bind="bind" v-model="spec.date" /></Field>
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
  <Field v-slot="{ bind }" name="source" label="Source: plate, manual, bulletin, camshaft maker">
    <BFormInput v-bind="bind" v-model="spec.source" />
  </Field>
  <SpecLineFields v-for="(line, i) in lines" :key="line.kind" v-model="lines[i]!" :invalid="!!said" />
  <p v-if="said" class="complaint mb-0" role="alert">{{ said }}</p>
  <p class="small soft mb-0 mt-1">
    A single figure without a tolerance of its line gets the fleet’s, never more than a third of it on the tight side,
    and says so wherever it is shown.
  </p>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1fr 1fr;
  gap: 0 0.8rem;
}
@media (max-width: 600px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
