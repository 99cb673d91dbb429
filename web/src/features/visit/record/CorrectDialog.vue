<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, watch } from 'vue'
import type { Schemas } from '../../../api/client'
import { useSend } from '../../../offline/useSend'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useFigures } from '../../../shared/figures/useFigures'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import HalfTyped from '../../../shared/forms/HalfTyped.vue'
import { useForm } from '../../../shared/forms/useForm'
import { useTypedDialog } from '../../../shared/forms/useTypedDialog'
import { usePreferences } from '../../../shared/preferences'
import { readingText } from '../../../shared/words/readings'

/** After the signature a correction is an entry of its own; before it, the kept figure is taken back and measured again. */
const props = defineProps<{ visitId: string; unit: string; point: Schemas['SheetPointRecord'] | null }>()
const shown = defineModel<boolean>({ required: true })
const figures = useFigures()
const preferences = usePreferences()
const send = useSend()
const { typed, isHalf, afresh, sent } = useTypedDialog(
  shown,
  () => `correct:${props.visitId}:${props.point?.label}`,
  () => ({
    stage: props.point?.found ? 'asFound' : 'asLeft',
    figure: '',
    unit: props.unit,
    person: preferences.person,
    why: '',
  }),
)
const old = computed(() => (typed.stage === 'asFound' ? props.point?.found : props.point?.left))

const form = useForm({
  check: () => ({
    'fields.figure': !typed.figure.trim() && 'Give the figure as it should read.',
    by: !typed.person && 'Choose who corrects it.',
    why: !typed.why.trim() && 'Say why; the old figure stays in the record beside the new one.',
  }),
  send: () =>
    send.mutateAsync({
      visitId: props.visitId,
      by: typed.person,
      entries: [
        {
          kind: 'corrected',
          entry: old.value!.lastEntry,
          why: typed.why.trim(),
          fields: { figure: typed.figure.trim(), unit: typed.unit },
        },
      ],
    }),
  done: () => `${props.point?.label}: corrected; the old figure stays beside the new one.`,
  then: () => {
    preferences.person = typed.person
    sent()
  },
})
watch(shown, () => form.clear())
</script>

<template>
  <BModal v-model="shown" :title="`Correct ${point?.label}`" title-tag="h2" no-footer focus="form input, form select">
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <p class="small soft">The old figure stays in the record beside the new one.</p>
      <Field v-slot="{ bind }" label="Which figure">
        <BFormSelect v-bind="bind" v-model="typed.stage">
          <option v-if="point?.found" value="asFound">
            as found: {{ readingText(point.found, figures.withUnit) }}
          </option>
          <option v-if="point?.left" value="asLeft">as left: {{ readingText(point.left, figures.withUnit) }}</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" name="fields.figure" label="It should read">
        <ClearanceField v-bind="bind" v-model="typed.figure" v-model:unit="typed.unit" autofocus />
      </Field>
      <Field v-slot="{ bind }" name="by" label="Who corrects it">
        <PersonField v-bind="bind" v-model="typed.person" />
      </Field>
      <Field v-slot="{ bind }" name="why" label="Why"><BFormInput v-bind="bind" v-model="typed.why" /></Field>
      <FormEnd :needs-server="false">Keep the correction</FormEnd>
    </form>
  </BModal>
</template>
