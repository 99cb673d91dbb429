<script setup lang="ts">
import { useId } from 'vue'

/** A labelled field with its complaint beside it. Give the control the slot's `id`. */
defineProps<{ label: string; complaint?: string | null; hint?: string }>()
const id = useId()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <slot :id="id" :described="complaint ? `${id}-c` : undefined" />
    <div v-if="complaint" :id="`${id}-c`" class="complaint" role="alert">{{ complaint }}</div>
    <div v-else-if="hint" class="soft small">{{ hint }}</div>
  </div>
</template>

<style scoped>
.field {
  margin-bottom: 0.8rem;
}
</style>
