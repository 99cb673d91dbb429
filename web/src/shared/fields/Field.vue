<script setup lang="ts">
import { BFormGroup } from 'bootstrap-vue-next/components/BFormGroup'
import { computed, useId } from 'vue'
import { useFormState } from '../forms/useForm'

/**
 * A labelled field with its complaint beside it. In a form it finds its own by its name on the server; give the control the slot's bindings.
 *
 *     <Field v-slot="{ bind }" name="site" label="Site"><BFormInput v-bind="bind" v-model="site" /></Field>
 */
const props = defineProps<{ label: string; name?: string; complaint?: string | null | false; hint?: string }>()
const id = useId()
const form = useFormState()
if (props.name) form?.shows(props.name)
const said = computed(() => props.complaint || (props.name && form?.complaint(props.name)) || '')
const bind = computed(() => ({
  id,
  'aria-invalid': said.value ? ('true' as const) : undefined,
  'aria-describedby': said.value ? `${id}-complaint` : props.hint ? `${id}-hint` : undefined,
}))
</script>

<template>
  <BFormGroup class="field" :label="label" :label-for="id">
    <slot :id="id" :bind="bind" />
    <div v-if="said" :id="`${id}-complaint`" class="complaint" role="alert">{{ said }}</div>
    <div v-else-if="hint" :id="`${id}-hint`" class="soft small">{{ hint }}</div>
  </BFormGroup>
</template>

<style scoped>
.field {
  margin-bottom: 0.8rem;
}
</style>
