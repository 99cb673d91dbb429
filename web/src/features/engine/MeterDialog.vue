<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQueryClient } from '@tanstack/vue-query'
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
const form = reactive({ id: newId(), hours: '', date: '', replaced: false, newShows: '0' })
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
})

async function save() {
  failure.value = undefined
  if (notANumber(form.hours) || notANumber(form.newShows)) return
  try {
    await answer(
      api.POST('/api/engines/{id}/meter-readings', {
        params: { path: { id: props.engineId } },
        body: {
          id: form.id,
          date: form.date || null,
          hours: typedNumber(form.hours),
          newMeterShows: form.replaced ? typedNumber(form.newShows) : null,
          who: preferences.who || null,
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
      <div class="form-check mb-2">
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
      <p v-if="failure && !(failure instanceof Refusal)" class="complaint">{{ sentence(failure) }}</p>
      <BButton type="submit" class="btn-act w-100">Keep the reading</BButton>
    </form>
    <p v-if="readings.length" class="small soft mt-3 mb-0">
      Last read:
      <span v-for="(r, i) in readings.slice(0, 3)" :key="i"
        >{{ i ? ', ' : '' }}{{ hours(r.shownHours) }} h on {{ day(r.date)
        }}{{ r.newMeterShows !== null ? ` (replaced, new one at ${hours(r.newMeterShows)})` : '' }}</span
      >.
    </p>
  </BModal>
</template>
