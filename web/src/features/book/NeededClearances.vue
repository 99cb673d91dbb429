<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import Field from '../../shared/fields/Field.vue'
import { useFormState } from '../../shared/forms/useForm'
import { lineFields } from '../../shared/spec/specLine'
import SpecLineFields from '../../shared/spec/SpecLineFields.vue'
import { kindsOf, type SpecForm } from './specForm'

/** The clearances of a type that is new, as its book writes them, and where they come from. */
const spec = defineModel<SpecForm>({ required: true })
const props = defineProps<{ layout: string }>()
const sources = ['manual', 'plate on the engine', 'bulletin', 'camshaft maker’s card', 'told, not seen written']
const lines = computed(() => spec.value.lines.filter((l) => kindsOf(props.layout).includes(l.kind)))
const form = useFormState()
const figures = ['lines', ...lineFields].map((name) => `spec.${name}`)
for (const name of figures) form?.shows(name)
const said = computed(() => figures.map((name) => form?.complaint(name)).find(Boolean))
</script>

<template>
  <h2 class="mb-2">Clearances</h2>
  <template v-if="!spec.noFigures">
    <div class="grid">
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
    <SpecLineFields v-for="(line, i) in lines" :key="line.kind" v-model="lines[i]!" :invalid="!!said" />
    <p v-if="said" class="complaint" role="alert">{{ said }}</p>
    <Field v-slot="{ bind }" name="spec.source" label="Where they come from">
      <BFormInput v-bind="bind" v-model="spec.source" />
      <div class="picks">
        <button v-for="s in sources" :key="s" type="button" class="text-link small" @click="spec.source = s">
          {{ s }}
        </button>
      </div>
    </Field>
  </template>
  <BFormCheckbox v-model="spec.noFigures" class="mb-3"
    >No figure at hand: measure now, judge when one is found</BFormCheckbox
  >
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 0.8rem;
}
.picks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1rem;
}
.picks button {
  min-height: 36px;
}
</style>
