<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import { keepPhoto, sendPhotos } from '../../offline/photos'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import PhotoField from '../../shared/photos/PhotoField.vue'
import SpecFields from './SpecFields.vue'
import { isFilled } from '../../shared/spec/specLine'
import { emptySpec, specRequest } from './specForm'

const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const shown = defineModel<boolean>({ required: true })
const addRevision = useWrite(writes.addRevision)
const { typed, isHalf, afresh, sent } = useTypedDialog(
  shown,
  () => `revision:${props.type.id}`,
  () => ({ spec: emptySpec(), photo: null as string | null }),
)
const kinds = computed(() => [...new Set(props.type.points.map((p) => p.kind))])
/** Kept beside the figures, so that anybody can compare them with what the plate says. */
async function keep(file: File) {
  const hash = await keepPhoto(file)
  await sendPhotos()
  return hash
}
const form = useForm({
  check: () => ({
    revision: !typed.spec.revision.trim() && 'Name the revision, such as B.',
    source: !typed.spec.source.trim() && 'Say where the clearances come from.',
    lines: !typed.spec.lines.some(isFilled) && 'Give at least one clearance: a window from and to, or one figure.',
  }),
  send: () => addRevision.mutateAsync({ typeId: props.type.id, ...specRequest(typed.spec), photo: typed.photo }),
  done: () => `Revision ${typed.spec.revision} of ${props.type.code} counts from ${day(typed.spec.date)}.`,
  then: sent,
})
watch(shown, () => form.clear())
</script>

<template>
  <BModal
    v-model="shown"
    :title="`New clearances for ${type.code}`"
    size="lg"
    title-tag="h2"
    no-footer
    focus="form input, form select"
  >
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <p class="small soft">The old figures stay: every record says by which revision it was judged.</p>
      <SpecFields v-model="typed.spec" :kinds="kinds" />
      <PhotoField v-model="typed.photo" label="Picture of the plate or the page, if any" :keep="keep" />
      <FormEnd>Put it in force from its date</FormEnd>
    </form>
  </BModal>
</template>
