<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'

/** Keeps the figure; where it keeps itself after a moment, that moment is seen to run. */
defineProps<{ itself: boolean; disabled: boolean }>()
</script>

<template>
  <BButton class="btn-act keep" :class="{ itself }" :disabled="disabled"><slot /></BButton>
</template>

<style scoped>
.keep {
  flex: 1;
  min-height: 56px;
  font-size: 1.1rem;
  line-height: 1.15;
  position: relative;
}
/* The time until it keeps itself runs along its foot; in steps, which a tablet draws with a tenth of the work. */
.keep.itself::after {
  content: '';
  position: absolute;
  left: 0;
  bottom: 0;
  height: 5px;
  width: 100%;
  background: var(--on-blue);
  transform-origin: left;
  animation: runs-out 2s steps(20) forwards;
}
@keyframes runs-out {
  from {
    transform: scaleX(0);
  }
  to {
    transform: scaleX(1);
  }
}
</style>
