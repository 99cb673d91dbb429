<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import SpecFields from './SpecFields.vue'
import { emptySpec, specRequest } from './specForm'

const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const shown = defineModel<boolean>({ required: true })
const addRevision = useWrite(writes.addRevision)
const typed = ref(emptySpec())
const form = useForm({
  check: () => ({
    revision: !typed.value.revision.trim() && 'Name the revision, such as B.',
    source: !typed.value.source.trim() && 'Say where the clearances come from.',
    lines:
      !typed.value.lines.some((l) => l.min || l.max || l.single || l.go || l.asks === 'zero') &&
      'Give at least one clearance: a window from and to, or one figure.',
  }),
  send: () => addRevision.mutateAsync({ typeId: props.type.id, ...specRequest(typed.value) }),
  done: () => `Revision ${typed.value.revision} of ${props.type.code} counts from ${day(typed.value.date)}.`,
  then: () => (shown.value = false),
})
watch(shown, (open) => {
  if (open) typed.value = emptySpec()
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
      <SpecFields v-model="typed" />
      <FormEnd>Put it in force from its date</FormEnd>
    </form>
  </BModal>
</template>
