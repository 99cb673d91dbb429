<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery } from '@tanstack/vue-query'
import { watch } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../fields/Field.vue'
import HoursField from '../fields/HoursField.vue'
import NumberField from '../fields/NumberField.vue'
import { notHours, typedHours } from '../figures/typedHours'
import { notANumber, typedNumber } from '../figures/typedNumber'
import FormEnd from '../forms/FormEnd.vue'
import { useForm } from '../forms/useForm'
import { useTyped } from '../forms/useTyped'
import { machineNames } from '../words/machines'

const props = defineProps<{
  /** The type it is to be of, where somebody came from the book. */
  ofType?: string
  /** What is known of it already, where a logbook names it. */
  called?: string
  meterShows?: number
}>()
const emit = defineEmits<{ added: [engine: Schemas['EngineResponse']] }>()
const shown = defineModel<boolean>({ required: true })
const types = useQuery(() => ({ ...queries.types(), enabled: shown.value }))
const sites = useQuery(() => ({ ...queries.sites(), enabled: shown.value }))
const addEngine = useWrite(writes.addEngine)
/** Survives a reload; half an engine is not asked for twice. */
const { typed } = useTyped('add-engine', {
  id: newId(),
  name: '',
  machine: 'lorry' as Schemas['MachineKind'],
  site: '',
  type: '',
  duty: '',
  meter: '',
})
// A fleet with one type asks nobody which.
watch(
  [types.data, shown],
  ([all]) => {
    if (props.ofType && shown.value) typed.type = props.ofType
    else if (!typed.type && all?.length === 1) typed.type = all[0]!.id
  },
  { immediate: true },
)
const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give it the name it has in the yard.',
    engineTypeId: !typed.type && 'Choose its type.',
    site: !typed.site.trim() && 'Say where it stands.',
    meterHours: notHours(typed.meter),
    dutyHoursPerDay: notANumber(typed.duty),
  }),
  send: () =>
    addEngine.mutateAsync({
      id: typed.id,
      name: typed.name,
      machine: typed.machine,
      site: typed.site,
      engineTypeId: typed.type,
      dutyHoursPerDay: typedNumber(typed.duty),
      meterHours: typedHours(typed.meter),
    }),
  done: (engine) => `${engine.row.name} is in the yard.`,
  then: (engine) => {
    shown.value = false
    Object.assign(typed, { id: newId(), name: '', meter: '' })
    emit('added', engine)
  },
})
watch(shown, (open) => {
  form.clear()
  if (open && props.called) Object.assign(typed, { name: props.called, meter: String(props.meterShows ?? '') })
})
</script>

<template>
  <BModal v-model="shown" title="Add an engine" title-tag="h2" no-footer focus="form input, form select">
    <form novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="name" label="Name, as it is called in the yard">
        <BFormInput v-bind="bind" v-model="typed.name" autofocus />
      </Field>
      <Field
        v-slot="{ bind }"
        name="engineTypeId"
        label="Engine type"
        hint="Not in the list? Add it to the book first."
      >
        <BFormSelect v-bind="bind" v-model="typed.type">
          <option value="">Choose…</option>
          <option v-for="t in types.data.value ?? []" :key="t.id" :value="t.id">{{ t.code }} · {{ t.name }}</option>
        </BFormSelect>
      </Field>
      <div class="two-columns">
        <Field v-slot="{ bind }" name="machine" label="It drives a">
          <BFormSelect v-bind="bind" v-model="typed.machine">
            <option v-for="(name, key) in machineNames" :key="key" :value="key">{{ name.toLowerCase() }}</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" name="site" label="Site">
          <BFormInput v-bind="bind" v-model="typed.site" list="known-sites" />
          <datalist id="known-sites">
            <option v-for="s in sites.data.value ?? []" :key="s.id" :value="s.name" />
          </datalist>
        </Field>
        <Field v-slot="{ bind }" name="meterHours" label="Hour meter shows">
          <HoursField v-bind="bind" v-model="typed.meter" />
        </Field>
        <Field
          v-slot="{ bind }"
          name="dutyHoursPerDay"
          label="Runs about"
          hint="Until the meter has been read a few times."
        >
          <NumberField v-bind="bind" v-model="typed.duty" unit="h a day" placeholder="4" />
        </Field>
      </div>
      <FormEnd>Add the engine</FormEnd>
    </form>
  </BModal>
</template>
