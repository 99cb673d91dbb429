<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** A tool there are only so many of; a new one, or one changed. */
const props = defineProps<{ tool?: Schemas['ToolResponse'] }>()
const put = useWrite(writes.putTool)
const open = ref(false)
const typed = reactive({ id: '', name: '', count: '1' })
function edit() {
  Object.assign(typed, {
    id: props.tool?.id ?? newId(),
    name: props.tool?.name ?? '',
    count: String(props.tool?.count ?? 1),
  })
  open.value = true
}
const form = useForm({
  check: () => ({ name: !typed.name.trim() && 'Give the tool a name.', count: notANumber(typed.count) }),
  send: () => put.mutateAsync({ id: typed.id, name: typed.name, count: typedNumber(typed.count) ?? 1 }),
  done: () => 'Saved. Press Plan again.',
  then: () => (open.value = false),
})
</script>

<template>
  <div>
    <div v-if="tool" class="ends ruled">
      <span>{{ tool.name }}: {{ tool.count }}</span>
      <button type="button" class="btn btn-plain text-nowrap" :aria-label="`Change ${tool.name}`" @click="edit">
        Change
      </button>
    </div>
    <button v-else-if="!open" type="button" class="btn btn-plain" @click="edit">Add a tool…</button>
    <form v-if="open" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="name" label="The tool">
        <BFormInput v-bind="bind" v-model="typed.name" autocomplete="off" />
      </Field>
      <Field v-slot="{ bind }" name="count" label="How many there are">
        <NumberField v-bind="bind" v-model="typed.count" />
      </Field>
      <FormEnd>Save</FormEnd>
    </form>
  </div>
</template>
