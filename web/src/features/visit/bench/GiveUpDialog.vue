<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { watch } from 'vue'
import Field from '../../../shared/fields/Field.vue'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import HalfTyped from '../../../shared/forms/HalfTyped.vue'
import { useForm } from '../../../shared/forms/useForm'
import { useTypedDialog } from '../../../shared/forms/useTypedDialog'

/** Closes a visit without a record, with a reason. */
const shown = defineModel<boolean>({ required: true })
const props = defineProps<{ visitId: string }>()
const emit = defineEmits<{ giveUp: [why: string] }>()
const { typed, isHalf, afresh, sent } = useTypedDialog(
  shown,
  () => `give-up:${props.visitId}`,
  () => ({ why: '' }),
)
const form = useForm({
  check: () => ({ why: !typed.why.trim() && 'Say why it is given up.' }),
  send: () => Promise.resolve(emit('giveUp', typed.why.trim())),
  then: sent,
})
watch(shown, () => form.clear())
</script>

<template>
  <BModal v-model="shown" title="Give this visit up" title-tag="h2" no-footer focus="form input">
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <p>It makes no record and frees the engine; its readings stay in the list but in no trend.</p>
      <Field v-slot="{ bind }" name="why" label="Why"><BFormInput v-bind="bind" v-model="typed.why" /></Field>
      <FormEnd>Give it up</FormEnd>
    </form>
  </BModal>
</template>
