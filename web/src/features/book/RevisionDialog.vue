<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { answer, api, Refusal, sentence, type Schemas } from '../../api/client'
import SpecFields from './SpecFields.vue'
import { emptySpec, specRequest } from './specForm'

const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const shown = defineModel<boolean>({ required: true })
const client = useQueryClient()
const form = ref(emptySpec())
const failure = ref<unknown>()
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
watch(shown, (open) => {
  if (open) form.value = emptySpec()
  failure.value = undefined
})
async function add() {
  failure.value = undefined
  try {
    await answer(
      api.POST('/api/engine-types/{id}/revisions', {
        params: { path: { id: props.type.id } },
        body: specRequest(form.value),
      }),
    )
    await client.invalidateQueries()
    shown.value = false
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <BModal v-model="shown" :title="`New clearances for ${type.code}`" size="lg" no-footer>
    <form @submit.prevent="add">
      <p class="small soft">The old figures stay: every record says by which revision it was judged.</p>
      <SpecFields v-model="form" :complaint="complaint" />
      <p v-if="failure" class="complaint mt-2">{{ sentence(failure) }}</p>
      <BButton type="submit" class="btn-act w-100 mt-2">Put it in force from its date</BButton>
    </form>
  </BModal>
</template>
