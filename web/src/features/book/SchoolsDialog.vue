<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import { schoolComplaints, schoolRequest, schoolsOf } from './schoolForm'
import SchoolFields from './SchoolFields.vue'

/** Changes how a type's book does it; visits under way keep what they were opened by. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const change = useWrite(writes.changeType)
const { typed, isHalf, afresh, sent } = useTypedDialog(
  open,
  () => `schools:${props.type.id}:${props.type.version}`,
  () => ({ schools: schoolsOf(props.type), why: '' }),
)
const form = useForm({
  check: () => ({ ...schoolComplaints(typed.schools), why: !typed.why.trim() && 'Say where that comes from.' }),
  send: () =>
    change.mutateAsync({
      id: props.type.id,
      ...schoolRequest(typed.schools),
      // Names that were not touched stay, also where only some points have one.
      ...(typed.schools.pointNames === schoolsOf(props.type).pointNames ? { pointNames: null } : {}),
      why: typed.why.trim(),
      version: props.type.version,
    }),
  done: (type) => `${type.code} is changed.`,
  then: sent,
})
</script>

<template>
  <BModal v-model="open" :title="`${type.code}: how its book does it`" size="lg" no-footer>
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <SchoolFields v-model="typed.schools" :points="type.points.length" />
      <Field v-slot="{ bind }" name="why" label="Where that comes from">
        <BFormInput v-bind="bind" v-model="typed.why" placeholder="workshop manual, page 4-12" />
      </Field>
      <FormEnd>Change it</FormEnd>
    </form>
  </BModal>
</template>
