<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { SheetStep } from './bench/useVisit'

/** Before the figures of a sheet: what it says was done, all of it named, since it is ticked in one. */
defineProps<{ condition: string; steps: SheetStep[] }>()
defineEmits<{ begin: [] }>()
</script>

<template>
  <section class="plate p-3 mb-3">
    <p>The sheet says that these were done, and that the engine was {{ condition }}:</p>
    <p v-for="s in steps" :key="s.step" class="mb-1 small">{{ s.text }}</p>
    <BButton class="btn-act" autofocus @click="$emit('begin')">As the sheet says: type the figures</BButton>
  </section>
</template>
