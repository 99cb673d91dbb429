<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Point, Trial } from './useVisit'

/** In the hand for a go/no-go pair: both blades as they should be in one tap, or the one that is not. */
defineProps<{ gates: NonNullable<Point['gates']> }>()
defineEmits<{ tried: [...trials: Trial[]] }>()
</script>

<template>
  <div class="gates">
    <BButton
      class="btn-act"
      @click="$emit('tried', { blades: [gates.go], feel: 'free' }, { blades: [gates.noGo], feel: 'noGo' })"
      >{{ gates.go }} goes, {{ gates.noGo }} does not</BButton
    >
    <BButton class="btn-plain" @click="$emit('tried', { blades: [gates.go], feel: 'noGo' })"
      >{{ gates.go }} does not go</BButton
    >
    <BButton class="btn-plain" @click="$emit('tried', { blades: [gates.noGo], feel: 'free' })"
      >{{ gates.noGo }} goes too</BButton
    >
  </div>
</template>

<style scoped>
.gates {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
  margin-bottom: 0.5rem;
}
.gates .btn-act {
  flex: 1 1 220px;
  min-height: 56px;
}
</style>
