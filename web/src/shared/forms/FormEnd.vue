<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useFormState } from './useForm'

/** The end of a form: what belongs to no field, and the one button. */
withDefaults(defineProps<{ busyWord?: string; disabled?: boolean }>(), { busyWord: 'Saving…' })
const form = useFormState()
</script>

<template>
  <p v-if="form?.rest" class="complaint" role="alert">{{ form.rest }} <slot name="way" /></p>
  <BButton type="submit" class="btn-act w-100" :disabled="disabled || form?.busy">
    <template v-if="form?.busy">{{ busyWord }}</template>
    <slot v-else />
  </BButton>
</template>
