<script setup lang="ts">
import StateMark from '../../../instruments/StateMark.vue'

/** On paper, what the marks beside the figures mean. */
</script>

<template>
  <p class="marks small">
    <span><StateMark state="tight" :size="12" /> tight: under the least allowed</span>
    <span><StateMark state="loose" :size="12" /> loose: over the most allowed</span>
    <span>no mark: within limits</span>
  </p>
</template>

<style scoped>
.marks {
  display: none;
}
@media print {
  .marks {
    display: flex;
    gap: 1.2rem;
    margin-top: 3mm;
  }
}
</style>
