<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { goneSince } from '../../api/reach'
import { useFormState } from './useForm'

/** The end of a form: what belongs to no field, whether it can be sent at all just now, and the one button. */
const props = withDefaults(defineProps<{ busyWord?: string; disabled?: boolean; needsServer?: boolean }>(), {
  busyWord: 'Saving…',
  needsServer: true,
})
const gone = computed(() => props.needsServer && goneSince.value !== null)
const form = useFormState()
</script>

<template>
  <p v-if="form?.rest" class="complaint" role="alert">{{ form.rest }} <slot name="way" /></p>
  <p v-if="gone" class="soft small mb-1" role="status">
    This needs the server, which cannot be reached just now. What you type stays here.
  </p>
  <BButton type="submit" class="btn-act w-100" :disabled="disabled || form?.busy || gone">
    <template v-if="form?.busy">{{ busyWord }}</template>
    <slot v-else />
  </BButton>
</template>
