<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import { runs } from './typeForm'

/** What of a type nobody has looked up yet, and the way to say it. */
const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const change = useWrite(writes.changeType)
const typed = ref({ runs: '', pitch: '', ratio: '' })
const lacks = (field: string) => props.type.assumed.includes(field)
/** What stands in for the book’s: right as it is, or the type is made anew. */
const standIns = computed(() =>
  (
    [
      ['layout', 'the valves along the head'],
      ['adjuster', 'what sets them'],
    ] as const
  ).filter(([field]) => lacks(field)),
)
const asksFigures = computed(() => ['rotation', 'pitchMm', 'clearancePerTravel'].some(lacks))
const form = useForm({
  check: () => ({ pitchMm: notANumber(typed.value.pitch), clearancePerTravel: notANumber(typed.value.ratio) }),
  send: () =>
    change.mutateAsync({
      id: props.type.id,
      ...(typed.value.runs ? { rotation: typed.value.runs } : {}),
      ...(typed.value.pitch.trim() ? { pitchMm: typedNumber(typed.value.pitch) } : {}),
      ...(typed.value.ratio.trim() ? { clearancePerTravel: typedNumber(typed.value.ratio) } : {}),
      why: 'looked up',
      version: props.type.version,
    }),
  done: (type) => `${type.code} is changed.`,
  then: () => (typed.value = { runs: '', pitch: '', ratio: '' }),
})
const confirm = (field: string) =>
  change.mutate({ id: props.type.id, confirmed: [field], why: 'looked up', version: props.type.version })
</script>

<template>
  <section v-if="type.assumed.length" class="plate plate-strong p-3" role="note">
    <template v-if="standIns.length">
      <p class="mb-1">
        <strong>Assumed, not the book’s:</strong> {{ standIns.map(([, said]) => said).join(', ') }}. Look them up before
        anybody works by them.
      </p>
      <BButton v-for="[field, said] in standIns" :key="field" class="btn-plain me-2 mb-2" @click="confirm(field)"
        >Right: {{ said }}</BButton
      >
    </template>
    <form v-if="asksFigures" novalidate @submit.prevent="form.submit">
      <p class="mb-2"><strong>Not known yet.</strong> Say it when somebody has looked:</p>
      <Field v-if="lacks('rotation')" v-slot="{ bind }" name="rotation" label="Which way it runs">
        <BFormSelect v-bind="bind" v-model="typed.runs">
          <option value="">not known: look before you bar it</option>
          <option v-for="way in runs" :key="way">{{ way }}</option>
        </BFormSelect>
      </Field>
      <Field
        v-if="lacks('pitchMm')"
        v-slot="{ bind }"
        name="pitchMm"
        label="Screw pitch"
        hint="Until then no turn is given: it is set by the blade."
        ><NumberField v-bind="bind" v-model="typed.pitch" unit="mm"
      /></Field>
      <Field
        v-if="lacks('clearancePerTravel')"
        v-slot="{ bind }"
        name="clearancePerTravel"
        label="Gap gained per screw travel"
        hint="The rocker’s ratio. Until then no turn is given: it is set by the blade."
        ><NumberField v-bind="bind" v-model="typed.ratio"
      /></Field>
      <FormEnd :disabled="!typed.runs && !typed.pitch.trim() && !typed.ratio.trim()">Save</FormEnd>
    </form>
  </section>
</template>
