<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Refusal } from '../../../api/client'
import Field from '../../../shared/fields/Field.vue'
import NumberField from '../../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../../shared/figures/typedNumber'
import type { Sheet } from './useVisit'

const props = defineProps<{ view: Sheet; refusal?: Refusal | null }>()
const emit = defineEmits<{ condition: [degrees: number | null, anyway: boolean] }>()
const temperature = ref('')
const warm = computed(() => props.refusal?.for('engineTemperatureC'))
function send(anyway: boolean) {
  if (notANumber(temperature.value)) return
  emit('condition', typedNumber(temperature.value) ?? null, anyway)
}
</script>

<template>
  <section>
    <h1 tabindex="-1">Is it {{ view.condition }}?</h1>
    <p class="mt-2">
      The figures of rev. {{ view.specRevision }} are for a <strong>{{ view.condition }}</strong> engine.
      {{
        view.condition === 'cold'
          ? 'A warm valve reads tight: let it stand until the block is as cold as the room.'
          : 'Run it to temperature first, and measure before it cools. Mind hot oil and metal.'
      }}
    </p>
    <form @submit.prevent="send(false)">
      <Field
        v-slot="{ bind }"
        label="Engine temperature"
        :complaint="warm ?? notANumber(temperature)"
        hint="Off the block, if you have a thermometer."
      >
        <NumberField v-bind="bind" v-model="temperature" unit="°C" data-first />
      </Field>
      <BButton type="submit" class="btn-act w-100 mb-2">It is {{ view.condition }}: go on</BButton>
      <BButton v-if="warm" class="btn-plain w-100" @click="send(true)"
        >Measure warm anyway, and leave it out of the trend</BButton
      >
    </form>
  </section>
</template>
