<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import { keepPhoto, sendPhotos } from '../../offline/photos'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import PhotoField from '../../shared/photos/PhotoField.vue'
import SpecFields from './SpecFields.vue'
import { isFilled } from '../../shared/spec/specLine'
import { emptySpec, specRequest } from './specForm'

const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const shown = defineModel<boolean>({ required: true })
const addRevision = useWrite(writes.addRevision)
const typed = ref(emptySpec())
const kinds = computed(() => [...new Set(props.type.points.map((p) => p.kind))])
const photo = ref<string | null>(null)
/** Kept beside the figures, so that anybody can compare them with what the plate says. */
async function keep(file: File) {
  const hash = await keepPhoto(file)
  await sendPhotos()
  return hash
}
const form = useForm({
  check: () => ({
    revision: !typed.value.revision.trim() && 'Name the revision, such as B.',
    source: !typed.value.source.trim() && 'Say where the clearances come from.',
    lines: !typed.value.lines.some(isFilled) && 'Give at least one clearance: a window from and to, or one figure.',
  }),
  send: () => addRevision.mutateAsync({ typeId: props.type.id, ...specRequest(typed.value), photo: photo.value }),
  done: () => `Revision ${typed.value.revision} of ${props.type.code} counts from ${day(typed.value.date)}.`,
  then: () => (shown.value = false),
})
watch(shown, (open) => {
  if (open) [typed.value, photo.value] = [emptySpec(), null]
  form.clear()
})
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
      <p class="small soft">The old figures stay: every record says by which revision it was judged.</p>
      <SpecFields v-model="typed" :kinds="kinds" />
      <PhotoField v-model="photo" label="Picture of the plate or the page, if any" :keep="keep" />
      <FormEnd>Put it in force from its date</FormEnd>
    </form>
  </BModal>
</template>
