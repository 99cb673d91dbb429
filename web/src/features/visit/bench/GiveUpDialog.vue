<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { ref, watch } from 'vue'
import Field from '../../../shared/fields/Field.vue'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'

/** Closes a visit without a record, with a reason. */
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ giveUp: [why: string] }>()
const why = ref('')
const form = useForm({
  check: () => ({ why: !why.value.trim() && 'Say why it is given up.' }),
  send: () => Promise.resolve(emit('giveUp', why.value.trim())),
})
watch(shown, (open) => {
  if (open) why.value = ''
  form.clear()
})
</script>

<template>
  <BModal v-model="shown" title="Give this visit up" title-tag="h2" no-footer focus="form input">
    <form novalidate @submit.prevent="form.submit">
      <p>It makes no record and frees the engine; its readings stay in the list but in no trend.</p>
      <Field v-slot="{ bind }" name="why" label="Why"><BFormInput v-bind="bind" v-model="why" /></Field>
      <FormEnd>Give it up</FormEnd>
    </form>
  </BModal>
</template>
