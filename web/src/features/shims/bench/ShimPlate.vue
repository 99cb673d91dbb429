<script setup lang="ts">
import { computed } from 'vue'

/** A shim from the side, its height to scale with the others on the bench. */
const props = defineProps<{ mm: number; perMm: number; look: 'stays' | 'leaves' | 'fits' | 'bought' }>()
const height = computed(() => Math.max(3, props.mm * props.perMm))
</script>

<template>
  <svg class="plate-svg" :class="look" viewBox="0 0 80 30" aria-hidden="true">
    <rect x="1" :y="28 - height" width="78" :height="height" />
  </svg>
</template>

<style scoped>
.plate-svg {
  width: 80px;
  height: 30px;
  flex: none;
  display: block;
}
rect {
  fill: var(--shade);
  stroke: var(--ink-soft);
  stroke-width: 1.4;
}
.leaves rect {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.fits rect {
  fill: var(--blue);
  stroke: var(--blue);
}
.bought rect {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
</style>
