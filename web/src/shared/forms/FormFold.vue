<script setup lang="ts">
import { ref, watch } from 'vue'
import { useFormPart } from './useForm'

/** A part of a form that may be left as it is: folded, until somebody opens it or one of its fields has a complaint. */
defineProps<{ title: string; says?: string }>()
const open = ref(false)
const hasComplaint = useFormPart()
watch(hasComplaint, (has) => has && (open.value = true))
</script>

<template>
  <details class="fold" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      <strong>{{ title }}</strong>
      <span v-if="says" class="soft small ms-2">{{ says }}</span>
    </summary>
    <div class="within"><slot /></div>
  </details>
</template>

<style scoped>
.fold {
  border-top: 1px solid var(--hairline);
}
.fold:last-of-type {
  border-bottom: 1px solid var(--hairline);
  margin-bottom: 0.8rem;
}
summary {
  min-height: 44px;
  padding: 0.6rem 0;
  cursor: pointer;
}
.within {
  padding: 0.4rem 0 0.6rem;
}
</style>
