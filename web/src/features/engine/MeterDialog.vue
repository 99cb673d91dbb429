<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, ref, watch } from 'vue'
import { answer, api, Refusal, sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import Field from '../../app/Field.vue'
import { day, hours } from '../../app/figures'
import { notANumber, typedNumber } from '../../app/numbers'
import { usePreferences } from '../../app/preferences'

const props = defineProps<{ engineId: string; readings: Schemas['MeterReadingResponse'][] }>()
const shown = defineModel<boolean>({ required: true })
const client = useQueryClient()
const preferences = usePreferences()
const people = useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')) })
const me = () => people.data.value?.find((p) => p.id === preferences.person)?.name ?? null
const form = reactive({ id: newId(), hours: '', date: '', replaced: false, newShows: '0' })
/** The reading that is put right, and why. */
const wrong = ref<Schemas['MeterReadingResponse'] | null>(null)
const why = ref('')
const failure = ref<unknown>()
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
watch(shown, (open) => {
  if (open)
    Object.assign(form, {
      id: newId(),
      hours: '',
      date: new Date().toISOString().slice(0, 10),
      replaced: false,
      newShows: '0',
    })
  failure.value = undefined
  wrong.value = null
  why.value = ''
})
function putRight(reading: Schemas['MeterReadingResponse']) {
  wrong.value = reading
  why.value = ''
  Object.assign(form, { id: newId(), hours: String(reading.shownHours), date: reading.date, replaced: false })
}

async function save() {
  failure.value = undefined
  if (notANumber(form.hours) || notANumber(form.newShows)) return
  try {
    if (wrong.value)
      await answer(
        api.PUT('/api/engines/{id}/meter-readings/{readingId}', {
          params: { path: { id: props.engineId, readingId: wrong.value.id } },
          body: {
            id: form.id,
            date: form.date || null,
            hours: typedNumber(form.hours) ?? null,
            why: why.value,
            who: me(),
          },
        }),
      )
    else
      await answer(
        api.POST('/api/engines/{id}/meter-readings', {
          params: { path: { id: props.engineId } },
          body: {
            id: form.id,
            date: form.date || null,
            hours: typedNumber(form.hours),
            newMeterShows: form.replaced ? typedNumber(form.newShows) : null,
            who: me(),
          },
        }),
      )
    await client.invalidateQueries()
    shown.value = false
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <BModal v-model="shown" title="Read the hour meter" no-footer>
    <form @submit.prevent="save">
      <Field
        v-slot="{ id }"
        :label="form.replaced ? 'The old meter stopped at, h' : 'The meter shows, h'"
        :complaint="complaint('hours') ?? notANumber(form.hours)"
      >
        <BFormInput :id="id" v-model="form.hours" inputmode="decimal" autofocus />
      </Field>
      <Field v-slot="{ id }" label="Read on" :complaint="complaint('date')"
        ><BFormInput :id="id" v-model="form.date" type="date"
      /></Field>
      <Field
        v-if="wrong"
        v-slot="{ id }"
        :label="`Why is the reading of ${day(wrong.date)} put right?`"
        :complaint="complaint('why')"
        ><BFormInput :id="id" v-model="why"
      /></Field>
      <div v-if="!wrong" class="form-check mb-2">
        <input id="replaced" v-model="form.replaced" class="form-check-input" type="checkbox" />
        <label class="form-check-label" for="replaced">The meter was replaced or reset</label>
      </div>
      <Field
        v-if="form.replaced"
        v-slot="{ id }"
        label="The new meter shows, h"
        :complaint="complaint('newMeterShows') ?? notANumber(form.newShows)"
      >
        <BFormInput :id="id" v-model="form.newShows" inputmode="decimal" />
      </Field>
      <p v-if="failure && !['hours', 'date', 'newMeterShows', 'why'].some((f) => complaint(f))" class="complaint">
        {{ sentence(failure) }}
      </p>
      <BButton type="submit" class="btn-act w-100">{{ wrong ? 'Put it right' : 'Keep the reading' }}</BButton>
    </form>
    <div v-if="readings.length" class="small soft mt-3">
      Last read:
      <p v-for="r in readings.slice(0, 4)" :key="r.id" class="mb-1 d-flex gap-2 align-items-center">
        <span :class="{ 'text-decoration-line-through': r.withdrawn }"
          >{{ hours(r.shownHours) }} h on {{ day(r.date)
          }}{{ r.newMeterShows !== null ? ` (replaced, new one at ${hours(r.newMeterShows ?? 0)})` : '' }}</span
        >
        <span v-if="r.why">{{ r.why }}</span>
        <button
          v-if="!r.withdrawn && !r.visitId"
          type="button"
          class="btn btn-plain btn-sm ms-auto"
          :aria-label="`Put the reading of ${day(r.date)} right`"
          @click="putRight(r)"
        >
          Put right
        </button>
      </p>
    </div>
  </BModal>
</template>
