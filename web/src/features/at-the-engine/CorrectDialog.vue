<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, reactive, ref, watch } from 'vue'
import { answer, api, Refusal, sentence } from '../../api/client'
import { newId } from '../../api/newId'
import Field from '../../app/Field.vue'
import { useFigures } from '../../app/figures'
import { usePreferences } from '../../app/preferences'
import { readingText } from './pointWords'
import type { Overhead, Point, Stage } from './useOverhead'

const props = defineProps<{ view: Overhead; point: Point | null }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ corrected: [view: Overhead] }>()
const figures = useFigures()
const preferences = usePreferences()
const form = reactive({
  id: newId(),
  stage: 'asFound' as Stage,
  figure: '',
  unit: props.view.trayUnit,
  who: preferences.who,
  why: '',
})
const failure = ref<unknown>()
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
const old = computed(() => (form.stage === 'asFound' ? props.point?.found : props.point?.left))
watch(shown, (open) => {
  if (open)
    Object.assign(form, {
      id: newId(),
      stage: props.point?.left && !props.point.left.why ? 'asLeft' : 'asFound',
      figure: '',
      who: preferences.who || props.view.who,
      why: '',
    })
  failure.value = undefined
})

async function correct() {
  if (!props.point || !old.value) return
  failure.value = undefined
  try {
    const view = await answer(
      api.PUT('/api/overheads/{id}/readings/{readingId}', {
        params: { path: { id: props.view.id, readingId: form.id } },
        body: {
          pointId: props.point.id,
          stage: form.stage,
          figure: form.figure,
          unit: form.unit,
          who: form.who,
          why: form.why,
          corrects: old.value.id,
          keep: true,
          version: 0,
          byTheBook: false,
          sure: false,
        },
      }),
    )
    emit('corrected', view)
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
        <Field v-slot="{ id }" class="flex-grow-1" label="It should read" :complaint="complaint('figure')"
          ><BFormInput :id="id" v-model="form.figure" inputmode="decimal"
        /></Field>
        <Field v-slot="{ id }" label="Unit"
          ><BFormSelect :id="id" v-model="form.unit" :options="['mm', 'thou']"
        /></Field>
      </div>
      <Field v-slot="{ id }" label="Who corrects it" :complaint="complaint('who')"
        ><BFormInput :id="id" v-model="form.who"
      /></Field>
      <Field v-slot="{ id }" label="Why" :complaint="complaint('why')"
        ><BFormInput :id="id" v-model="form.why"
      /></Field>
      <p
        v-if="failure && (!(failure instanceof Refusal) || !['figure', 'who', 'why'].some(complaint))"
        class="complaint"
      >
        {{ sentence(failure) }}
      </p>
      <BButton type="submit" class="btn-act w-100">Keep the correction</BButton>
    </form>
  </BModal>
</template>
