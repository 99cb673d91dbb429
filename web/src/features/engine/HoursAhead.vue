<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { sentence } from '../../api/client'
import { queries } from '../../api/queries'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import HoursField from '../../shared/fields/HoursField.vue'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { notHours, typedHours } from '../../shared/figures/typedHours'

/** From hours to a date and back, by the engine's own use. */
const props = defineProps<{ engineId: string }>()
const shown = ref(false)
const figure = ref('')
const date = ref('')
const asked = computed(() => ({
  ...(figure.value.trim() && !notHours(figure.value) ? { hours: typedHours(figure.value) } : {}),
  ...(date.value ? { date: date.value } : {}),
}))
const ahead = useQuery(() => ({
  ...queries.hoursAhead(props.engineId, asked.value),
  enabled: shown.value,
  retry: false,
}))
const use = computed(() => ahead.data.value)
const busiest = computed(() => {
  const weights = use.value?.monthlyWeights ?? []
  const most = Math.max(...weights)
  return most - Math.min(...weights) > 0.05
    ? day(`2026-${String(weights.indexOf(most) + 1).padStart(2, '0')}-01`).split(' ')[1]
    : ''
})
</script>

<template>
  <details class="plate p-3 mt-2" @toggle="shown = ($event.target as HTMLDetailsElement).open">
    <summary>Hours and dates</summary>
    <p v-if="use" class="small soft mt-2 mb-2">
      {{ hours(use.hoursPerDay) }} h a day {{ use.fromReadings ? 'by its last readings' : 'by its duty class'
      }}<template v-if="busiest"
        >, most in {{ busiest }}{{ use.seasonLearned ? ', learned from its meter' : '' }}</template
      ><template v-for="l in use.laidUp" :key="l.from">; laid up {{ day(l.from) }} to {{ day(l.to) }}</template
      >.
    </p>
    <Field v-slot="{ bind }" name="hours" label="When will the meter show">
      <HoursField v-bind="bind" v-model="figure" />
    </Field>
    <p v-if="use?.date" role="status">
      About <strong>{{ day(use.date) }}</strong>, between {{ day(use.earliest) }} and
      {{ use.latest ? day(use.latest) : 'later than can be said' }}.
    </p>
    <Field v-slot="{ bind }" name="date" label="What will it show on"><DayField v-bind="bind" v-model="date" /></Field>
    <p v-if="use?.hours != null" role="status">
      About <strong>{{ hours(use.hours) }} h</strong>, between {{ hours(use.least!) }} and {{ hours(use.most!) }} h.
    </p>
    <p v-if="ahead.error.value" class="complaint mb-0" role="alert">{{ sentence(ahead.error.value) }}</p>
  </details>
</template>
