<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, reactive, ref, watch } from 'vue'
import { Refusal, sentence } from '../../api/client'
import Field from '../../app/Field.vue'
import PersonPick from '../../app/PersonPick.vue'
import { useFigures } from '../../app/figures'
import { usePreferences } from '../../app/preferences'
import { sendNow } from '../../offline/exchange'
import { readingText } from './pointWords'
import type { Point, Stage } from './useVisit'

/** After the signature a correction is an entry of its own; before it, the kept figure is taken back and measured again. */
const props = defineProps<{ visitId: string; signed: boolean; unit: string; point: Point | null }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ corrected: [] }>()
const figures = useFigures()
const preferences = usePreferences()
const form = reactive({
  stage: 'asFound' as Stage,
  figure: '',
  unit: props.unit,
  person: preferences.person,
  why: '',
})
const failure = ref<unknown>()
const missing = reactive({ figure: '', person: '', why: '' })
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
const old = computed(() => (form.stage === 'asFound' ? props.point?.found : props.point?.left))
watch(shown, (open) => {
  if (open)
    Object.assign(form, {
      stage: props.point?.left ? 'asLeft' : 'asFound',
      figure: '',
      unit: props.unit,
      person: preferences.person,
      why: '',
    })
  failure.value = undefined
  Object.assign(missing, { figure: '', person: '', why: '' })
})

async function correct() {
  if (!props.point || !old.value) return
  failure.value = undefined
  Object.assign(missing, {
    figure: form.figure.trim() ? '' : 'Give the figure as it should read.',
    person: form.person ? '' : 'Choose who corrects it.',
    why: form.why.trim() ? '' : 'Say why; the old figure stays in the record beside the new one.',
  })
  if (missing.figure || missing.person || missing.why) return
  try {
    await sendNow(
      props.visitId,
      [
        {
          kind: 'corrected',
          entry: old.value.lastEntry,
          why: form.why.trim(),
          fields: { figure: form.figure.trim(), unit: form.unit },
        },
      ],
      form.person,
    )
    preferences.person = form.person
    emit('corrected')
    shown.value = false
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <BModal v-model="shown" :title="`Correct ${point?.label}`" no-footer>
    <form @submit.prevent="correct">
      <p class="small soft">The old figure stays in the record beside the new one.</p>
      <Field v-slot="{ id }" label="Which figure">
        <BFormSelect :id="id" v-model="form.stage">
          <option value="asFound">as found: {{ readingText(point?.found, figures.figure) }}</option>
          <option v-if="point?.left" value="asLeft">as left: {{ readingText(point?.left, figures.figure) }}</option>
        </BFormSelect>
      </Field>
      <div class="d-flex gap-2">
        <Field
          v-slot="{ id }"
          class="flex-grow-1"
          label="It should read"
          :complaint="missing.figure || complaint('fields.figure')"
          ><BFormInput :id="id" v-model="form.figure" inputmode="decimal"
        /></Field>
        <Field v-slot="{ id }" label="Unit"
          ><BFormSelect :id="id" v-model="form.unit" :options="['mm', 'thou']"
        /></Field>
      </div>
      <Field v-slot="{ id }" label="Who corrects it" :complaint="missing.person || complaint('by')"
        ><PersonPick :id="id" v-model="form.person"
      /></Field>
      <Field v-slot="{ id }" label="Why" :complaint="missing.why || complaint('why')"
        ><BFormInput :id="id" v-model="form.why"
      /></Field>
      <p
        v-if="failure && (!(failure instanceof Refusal) || !['fields.figure', 'by', 'why'].some((f) => complaint(f)))"
        class="complaint"
      >
        {{ sentence(failure) }}
      </p>
      <BButton type="submit" class="btn-act w-100">Keep the correction</BButton>
    </form>
  </BModal>
</template>
