<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import PersonField from '../../shared/fields/PersonField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import { useMe } from '../../shared/fields/useMe'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import { usePreferences } from '../../shared/preferences'
import { toast } from '../../shared/toasts/toasts'
import EngineChanges from './EngineChanges.vue'

/** What an engine is called, where it sits, what it is; every change is kept with who and why. */
const props = defineProps<{ engine: Schemas['EngineResponse'] }>()
const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const preferences = usePreferences()
const types = useQuery(() => ({ ...queries.types(), enabled: shown.value }))
const machines = useQuery(() => ({ ...queries.machines(), enabled: shown.value }))
const change = useWrite(writes.changeEngine)
const id = computed(() => props.engine.row.engineId)

const now = () => ({
  name: props.engine.row.name,
  machineId: props.engine.row.machineId,
  engineTypeId: props.engine.type.id,
  serialNumber: props.engine.row.serialNumber ?? '',
  rating: props.engine.rating ?? '',
  duty: String(props.engine.dutyHoursPerDay),
  remark: props.engine.remark ?? '',
  why: '',
})
const { typed, isHalf, afresh, sent } = useTypedDialog(
  shown,
  () => `engine:${props.engine.row.engineId}:${props.engine.version}`,
  now,
)
const who = useMe()

const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give it the name it has in the yard.',
    dutyHoursPerDay: notANumber(typed.duty),
    who: !preferences.person && 'Choose who changes it.',
    why:
      (typed.engineTypeId !== props.engine.type.id || typed.machineId !== props.engine.row.machineId) &&
      !typed.why.trim() &&
      'Say why it has another type or machine now; its history goes with it.',
  }),
  send: () =>
    change.mutateAsync({
      id: id.value,
      name: typed.name,
      machineId: typed.machineId,
      engineTypeId: typed.engineTypeId,
      serialNumber: typed.serialNumber,
      rating: typed.rating,
      remark: typed.remark,
      dutyHoursPerDay: typedNumber(typed.duty),
      who: who(),
      why: typed.why || null,
      version: props.engine.version,
    }),
  done: (engine) => `${engine.row.name}: changed.`,
  then: sent,
})
watch(shown, () => form.clear())

/** Put away, not deleted: its record stays, and it can be taken out again. */
async function putAway() {
  const { name } = props.engine.row
  const set = (archived: boolean) => change.mutateAsync({ id: id.value, archived, who: who(), why: typed.why || null })
  try {
    await set(true)
  } catch (caught) {
    toast(caught instanceof Refusal ? caught.message : `${name} could not be archived; the server cannot be reached.`)
    return
  }
  shown.value = false
  await router.push({ name: 'yard' })
  toast(`${name} is archived; its record stays.`, () => set(false))
}
</script>

<template>
  <BModal
    v-model="shown"
    :title="`Change ${engine.row.name}`"
    size="lg"
    title-tag="h2"
    no-footer
    focus="form input, form select"
  >
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <div class="two-columns">
        <Field v-slot="{ bind }" name="name" label="Name in the yard">
          <BFormInput v-bind="bind" v-model="typed.name" autofocus />
        </Field>
        <Field
          v-slot="{ bind }"
          name="machineId"
          label="Sits in"
          hint="Moved to another machine: its history follows it."
        >
          <BFormSelect v-bind="bind" v-model="typed.machineId">
            <option v-for="m in machines.data.value ?? []" :key="m.id" :value="m.id">
              {{ m.name }} · {{ m.site }}
            </option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" name="engineTypeId" label="Type" hint="A wrongly chosen type is put right here.">
          <BFormSelect v-bind="bind" v-model="typed.engineTypeId">
            <option v-for="t in types.data.value ?? []" :key="t.id" :value="t.id">{{ t.code }} · {{ t.name }}</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" name="serialNumber" label="Serial number">
          <BFormInput v-bind="bind" v-model="typed.serialNumber" />
        </Field>
        <Field v-slot="{ bind }" name="rating" label="Rating">
          <BFormInput v-bind="bind" v-model="typed.rating" />
        </Field>
        <Field v-slot="{ bind }" name="dutyHoursPerDay" label="Runs about, until the meter tells">
          <NumberField v-bind="bind" v-model="typed.duty" unit="h a day" />
        </Field>
        <Field v-slot="{ bind }" name="remark" label="Remark">
          <BFormInput v-bind="bind" v-model="typed.remark" />
        </Field>
        <Field v-slot="{ bind }" name="who" label="Who changes it">
          <PersonField v-bind="bind" v-model="preferences.person" />
        </Field>
      </div>
      <Field v-slot="{ bind }" name="why" label="Why"><BFormInput v-bind="bind" v-model="typed.why" /></Field>
      <FormEnd>Keep the change</FormEnd>
    </form>
    <div class="mt-3 d-flex gap-2 flex-wrap">
      <BButton class="btn-plain" @click="putAway">Put this engine away</BButton>
    </div>
    <EngineChanges v-if="shown" :id="id" class="mt-3" />
  </BModal>
</template>
