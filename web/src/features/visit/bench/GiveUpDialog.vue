<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { ref, watch } from 'vue'
import Field from '../../../shared/fields/Field.vue'

/** Closes a visit without a record, with a reason. */
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ giveUp: [why: string] }>()
const why = ref('')
watch(shown, (open) => {
  if (open) why.value = ''
})
</script>

<template>
  <BModal v-model="shown" title="Give this visit up" title-tag="h2" no-footer focus="form input, form select">
    <form @submit.prevent="why.trim() && emit('giveUp', why.trim())">
      <p>It makes no record and frees the engine; its readings stay in the list but in no trend.</p>
      <Field v-slot="{ id }" label="Why"><BFormInput :id="id" v-model="why" /></Field>
      <BButton type="submit" class="btn-act w-100" :disabled="!why.trim()">Give it up</BButton>
    </form>
  </BModal>
</template>
