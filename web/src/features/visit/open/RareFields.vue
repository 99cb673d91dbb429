<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import DayField from '../../../shared/fields/DayField.vue'
import Field from '../../../shared/fields/Field.vue'
import { methodNames } from '../../../shared/words/methods'
import type { OpeningForm } from './useOpening'

/** What most who open an engine never need: another day, another way to find the position, another instrument, a sheet filled in already. */
const form = defineModel<OpeningForm>({ required: true })
const props = defineProps<{ type: Schemas['EngineTypeResponse']; instruments: Schemas['InstrumentResponse'][] }>()

/** A micrometer or a dial, used beside the blades. */
const besides = computed(() => props.instruments.filter((i) => i.kind !== 'bladeSet' && !i.withdrawn))
</script>

<template>
  <label class="ticked"
    ><input v-model="form.typesIn" type="checkbox" /> Done on paper already: type the field sheet in</label
  >
  <fieldset v-if="besides.length" class="mb-3">
    <legend class="form-label">Measured with besides</legend>
    <label v-for="i in besides" :key="i.id" class="ticked">
      <input v-model="form.besides" type="checkbox" :value="i.name" /> {{ i.name }}
    </label>
  </fieldset>
  <Field v-slot="{ bind }" name="date" label="Day, if not today">
    <DayField v-bind="bind" v-model="form.date" />
  </Field>
  <Field v-slot="{ bind }" name="method" label="How do you find the position?" hint="The book’s way stands first.">
    <BFormSelect v-bind="bind" v-model="form.method">
      <option v-for="m in type.methods" :key="m" :value="m">
        {{ methodNames[m] }}{{ m === type.method ? ' (the book)' : '' }}
      </option>
    </BFormSelect>
  </Field>
</template>
