<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { reactive, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import HoursField from '../../shared/fields/HoursField.vue'
import { day, today } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import { useMe } from '../../shared/fields/useMe'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

const props = defineProps<{ engineId: string; readings: Schemas['MeterReadingResponse'][] }>()
const shown = defineModel<boolean>({ required: true })
const read = useWrite(writes.readMeter)
const correct = useWrite(writes.correctMeter)
const me = useMe()
const fresh = () => ({ id: newId(), hours: '', date: today(), replaced: false, newShows: '0', why: '' })
const typed = reactive(fresh())
/** The reading that is put right. */
const wrong = ref<Schemas['MeterReadingResponse'] | null>(null)

const form = useForm({
  check: () => ({
    hours: notHours(typed.hours) ?? (!typed.hours.trim() && 'Give what the meter shows, in hours.'),
    newMeterShows: typed.replaced && notHours(typed.newShows),
    why: wrong.value && !typed.why.trim() && 'Say why; the old reading stays beside the new one.',
  }),
  send: () =>
    wrong.value
      ? correct.mutateAsync({
          engineId: props.engineId,
          readingId: wrong.value.id,
          id: typed.id,
          date: typed.date || null,
          hours: typedHours(typed.hours) ?? null,
          why: typed.why,
          who: me(),
        })
      : read.mutateAsync({
          engineId: props.engineId,
          id: typed.id,
          date: typed.date || null,
          hours: typedHours(typed.hours),
          newMeterShows: typed.replaced ? typedHours(typed.newShows) : null,
          who: me(),
        }),
  done: (engine) => `${engine.row.name}: ${hours(typedHours(typed.hours) ?? 0)} h kept.`,
  undo: (engine) =>
    correct.mutateAsync({
      engineId: engine.row.engineId,
      readingId: typed.id,
      id: newId(),
      hours: null,
      why: 'taken back at once',
      who: me(),
    }),
  then: () => (shown.value = false),
})
watch(shown, (open) => {
  // What was kept keeps its name until the next is begun, so that it can be taken back.
  if (open) Object.assign(typed, fresh())
  wrong.value = null
  form.clear()
})
function putRight(reading: Schemas['MeterReadingResponse']) {
  wrong.value = reading
  Object.assign(typed, { ...fresh(), hours: String(reading.shownHours), date: reading.date })
}
</script>

<template>
  <BModal v-model="shown" title="Read the hour meter" title-tag="h2" no-footer focus="form input, form select">
    <form novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="hours" :label="typed.replaced ? 'The old meter stopped at' : 'The meter shows'">
        <HoursField v-bind="bind" v-model="typed.hours" autofocus />
      </Field>
      <Field v-slot="{ bind }" name="date" label="Read on"><DayField v-bind="bind" v-model="typed.date" /></Field>
      <Field v-if="wrong" v-slot="{ bind }" name="why" :label="`Why is the reading of ${day(wrong.date)} put right?`">
        <BFormInput v-bind="bind" v-model="typed.why" />
      </Field>
      <BFormCheckbox v-if="!wrong" v-model="typed.replaced" class="mb-2 tall">
        The meter was replaced or reset
      </BFormCheckbox>
      <Field v-if="typed.replaced" v-slot="{ bind }" name="newMeterShows" label="The new meter shows">
        <HoursField v-bind="bind" v-model="typed.newShows" />
      </Field>
      <FormEnd>{{ wrong ? 'Put it right' : 'Keep the reading' }}</FormEnd>
    </form>
    <div v-if="readings.length" class="small soft mt-3">
      Last read:
      <p v-for="r in readings.slice(0, 4)" :key="r.id" class="mb-1 d-flex gap-2 align-items-center">
        <span :class="{ 'text-decoration-line-through': r.withdrawn }"
          >{{ hours(r.shownHours) }} h on {{ day(r.date)
          }}{{ r.newMeterShows != null ? `; replaced, the new one at ${hours(r.newMeterShows)} h` : '' }}</span
        >
        <span v-if="r.why">{{ r.why }}</span>
        <button
          v-if="!r.withdrawn && !r.visitId"
          type="button"
          class="btn btn-plain ms-auto"
          :aria-label="`Put right the reading of ${day(r.date)}`"
          @click="putRight(r)"
        >
          Put right
        </button>
      </p>
    </div>
  </BModal>
</template>
