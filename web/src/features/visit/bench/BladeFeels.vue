<script setup lang="ts">
import { feels } from './feels'
import type { Felt } from './useVisit'

/** What the next tap on a blade means: it drags unless another feel is armed, and two blades may be stacked. */
const armed = defineModel<Felt>('armed', { required: true })
const stacking = defineModel<boolean>('stacking', { required: true })
</script>

<template>
  <div class="feels" role="group" aria-label="How did it feel?">
    <button
      v-for="f in feels"
      :key="f.feel"
      type="button"
      class="feel"
      :class="{ armed: armed === f.feel }"
      :aria-pressed="armed === f.feel"
      @click="armed = f.feel"
    >
      {{ f.text }} <span class="key">{{ f.key }}</span>
    </button>
    <button
      type="button"
      class="feel"
      :class="{ armed: stacking }"
      :aria-pressed="stacking"
      @click="stacking = !stacking"
    >
      Stack two
    </button>
  </div>
</template>

<style scoped>
.feels {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 4px;
}
.feel {
  min-height: 44px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--plate);
  color: var(--ink);
  font-size: 0.9rem;
  line-height: 1.1;
}
.feel.armed {
  border: 2px solid var(--blue);
  background: var(--blue-wash);
  font-weight: 700;
}
.key {
  font-size: 0.75rem;
  color: var(--ink-soft);
}
@media (max-width: 600px) {
  .feel {
    font-size: 0.78rem;
    padding: 0 1px;
  }
  .key {
    display: none;
  }
}
</style>
