<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, onBeforeUnmount } from 'vue'
import type { Refusal, Schemas } from '../../../api/client'
import Field from '../../../shared/fields/Field.vue'
import NumberField from '../../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../../shared/figures/typedNumber'
import { useTyped } from '../../../shared/forms/useTyped'
import type { Sheet } from './useVisit'

/** Cold or hot, as the book's figures ask; where it gives both, which of them. */
const props = defineProps<{
  visitId: string
  view: Sheet
  conditions: Schemas['ContextDemandsRecord'][]
  refusal?: Refusal | null
}>()
const emit = defineEmits<{
  condition: [
    stated: {
      condition: Schemas['SpecCondition']
      engineTemperatureC: number | null
      hoursStanding?: number
      measureAnyway: boolean
    },
  ]
}>()
/** Survives a reload, until it is stated. */
const { typed, forget } = useTyped(`condition:${props.visitId}`, {
  condition: props.view.condition,
  temperature: '',
  minutes: '',
})
const both = computed(() => props.conditions.length > 1)
const revision = computed(() => props.conditions.find((d) => d.condition === typed.condition))
const warm = computed(() => props.refusal?.for('engineTemperatureC'))
let isStated = false
// Asked again later, it is what the thermometer says then.
onBeforeUnmount(() => isStated && forget())
function send(anyway: boolean) {
  if (notANumber(typed.temperature) || notANumber(typed.minutes)) return
  const stood = typedNumber(typed.minutes)
  isStated = true
  emit('condition', {
    condition: typed.condition,
    engineTemperatureC: typedNumber(typed.temperature) ?? null,
    ...(typed.condition === 'hot' && stood != null ? { hoursStanding: stood / 60 } : {}),
    measureAnyway: anyway,
  })
}
</script>

<template>
  <section>
    <h1 tabindex="-1">Is it {{ typed.condition }}?</h1>
    <div v-if="both" class="d-flex gap-2 mt-2" role="radiogroup" aria-label="Which figures">
      <button
        v-for="d in conditions"
        :key="d.condition"
        type="button"
        class="btn"
        :class="d.condition === typed.condition ? 'btn-act' : 'btn-plain'"
        role="radio"
        :aria-checked="d.condition === typed.condition"
        @click="typed.condition = d.condition"
      >
        {{ d.condition }}, rev. {{ d.revision }}
      </button>
    </div>
    <p class="mt-2">
      <template v-if="revision"
        >The figures of rev. {{ revision.revision }} are for a <strong>{{ typed.condition }}</strong> engine.</template
      >
      {{
        typed.condition === 'cold'
          ? 'A warm valve reads tight: let it stand until the block is as cold as the room.'
          : 'Run it to temperature first, and measure before it cools. Mind hot oil and metal.'
      }}
      <template v-if="typed.condition === 'hot' && view.hotMinutes != null">
        Its figures hold for {{ view.hotMinutes }} minutes after it stopped.</template
      >
    </p>
    <form @submit.prevent="send(false)">
      <Field
        v-slot="{ bind }"
        label="Engine temperature"
        :complaint="warm ?? notANumber(typed.temperature)"
        hint="Off the block, if you have a thermometer."
      >
        <NumberField v-bind="bind" v-model="typed.temperature" unit="°C" data-first />
      </Field>
      <Field
        v-if="typed.condition === 'hot'"
        v-slot="{ bind }"
        label="Stopped how long ago"
        :complaint="notANumber(typed.minutes)"
        hint="The minutes since belong to every figure."
      >
        <NumberField v-bind="bind" v-model="typed.minutes" unit="min" />
      </Field>
      <BButton type="submit" class="btn-act w-100 mb-2">It is {{ typed.condition }}: go on</BButton>
      <BButton v-if="warm" class="btn-plain w-100" @click="send(true)"
        >Measure warm anyway, and leave it out of the trend</BButton
      >
    </form>
  </section>
</template>
