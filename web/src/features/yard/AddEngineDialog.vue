<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refusal, sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import Field from '../../app/Field.vue'
import { notANumber, typedNumber } from '../../app/numbers'
import { machineNames } from './yardWords'

const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const client = useQueryClient()
const types = useQuery({ queryKey: ['types'], queryFn: () => answer(api.GET('/api/engine-types')), enabled: shown })
const form = reactive({
  id: newId(),
  name: '',
  machine: 'lorry' as Schemas['MachineKind'],
  site: '',
  engineTypeId: '',
  duty: '',
  meter: '',
})
const failure = ref<unknown>()
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
watch(shown, (open) => {
  if (open) form.id = newId()
})

async function add() {
  failure.value = undefined
  if (notANumber(form.duty) || notANumber(form.meter)) return
  try {
    const engine = await answer(
      api.POST('/api/engines', {
        body: {
          id: form.id,
          name: form.name,
          machine: form.machine,
          site: form.site,
          engineTypeId: form.engineTypeId || null,
          dutyHoursPerDay: typedNumber(form.duty),
          meterHours: typedNumber(form.meter),
        },
      }),
    )
    await client.invalidateQueries({ queryKey: ['due'] })
    shown.value = false
    await router.push({ name: 'engine', params: { id: engine.row.engineId } })
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <BModal v-model="shown" title="Add an engine" no-footer>
    <form @submit.prevent="add">
      <Field v-slot="{ id }" label="Name, as it is called in the yard" :complaint="complaint('name')">
        <BFormInput :id="id" v-model="form.name" autofocus />
      </Field>
      <Field
        v-slot="{ id }"
        label="Engine type"
        :complaint="complaint('engineTypeId')"
        hint="Not in the list? Add it to the book first."
      >
        <BFormSelect :id="id" v-model="form.engineTypeId">
          <option value="">Choose…</option>
          <option v-for="t in types.data.value ?? []" :key="t.id" :value="t.id">{{ t.code }} · {{ t.name }}</option>
        </BFormSelect>
      </Field>
      <div class="two">
        <Field v-slot="{ id }" label="It drives a" :complaint="complaint('machine')">
          <BFormSelect :id="id" v-model="form.machine">
            <option v-for="(name, key) in machineNames" :key="key" :value="key">{{ name }}</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ id }" label="Site" :complaint="complaint('site')"
          ><BFormInput :id="id" v-model="form.site"
        /></Field>
        <Field
          v-slot="{ id }"
          label="Hour meter shows, h"
          :complaint="complaint('meterHours') ?? notANumber(form.meter)"
          ><BFormInput :id="id" v-model="form.meter" inputmode="decimal"
        /></Field>
        <Field
          v-slot="{ id }"
          label="Runs about, hours a day"
          :complaint="complaint('dutyHoursPerDay') ?? notANumber(form.duty)"
          hint="Until the meter has been read a few times."
          ><BFormInput :id="id" v-model="form.duty" inputmode="decimal" placeholder="4"
        /></Field>
      </div>
      <p v-if="failure && !(failure instanceof Refusal)" class="complaint">{{ sentence(failure) }}</p>
      <BButton type="submit" class="btn-act w-100">Add the engine</BButton>
    </form>
  </BModal>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 1rem;
}
</style>
