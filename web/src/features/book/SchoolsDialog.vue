<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { emptySchools, schoolComplaints, schoolRequest, schoolsOf } from './schoolForm'
import SchoolFields from './SchoolFields.vue'

/** Changes how a type's book does it; visits under way keep what they were opened by. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const change = useWrite(writes.changeType)
const typed = ref(emptySchools())
const why = ref('')
watch(open, (now) => {
  if (now) typed.value = schoolsOf(props.type)
})
const form = useForm({
  check: () => ({ ...schoolComplaints(typed.value), why: !why.value.trim() && 'Say where that comes from.' }),
  send: () =>
    change.mutateAsync({
      id: props.type.id,
      ...schoolRequest(typed.value),
      // Names that were not touched stay, also where only some points have one.
      ...(typed.value.pointNames === schoolsOf(props.type).pointNames ? { pointNames: null } : {}),
      why: why.value.trim(),
      version: props.type.version,
    }),
  done: (type) => `${type.code} is changed.`,
  then: () => {
    open.value = false
    why.value = ''
  },
})
</script>

<template>
  <BModal v-model="open" :title="`${type.code}: how its book does it`" size="lg" no-footer>
    <form novalidate @submit.prevent="form.submit">
      <SchoolFields v-model="typed" :points="type.points.length" />
      <Field v-slot="{ bind }" name="why" label="Where that comes from">
        <BFormInput v-bind="bind" v-model="why" placeholder="workshop manual, page 4-12" />
      </Field>
      <FormEnd>Change it</FormEnd>
    </form>
  </BModal>
</template>
