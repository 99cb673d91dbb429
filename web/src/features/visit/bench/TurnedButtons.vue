<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Point, Sheet, Stage, Trial } from './useVisit'

/** In the hand while a screw is set: that it was turned, and how its nut stands. */
const props = defineProps<{ sheet: Sheet; point: Point; stage: Stage }>()
defineEmits<{ tried: [trial: Trial]; turned: [nut?: 'loose' | 'tight'] }>()
/** The blade in while it is locked: what it does then is all there is to say. */
const whileLocking = computed(() =>
  props.sheet.manner === 'bladeIn' && props.stage === 'asLeft' && !props.point.dial && !props.point.leftDraft
    ? props.point.guide?.setBlade
    : null,
)
</script>

<template>
  <div v-if="whileLocking || point.mayTurn" class="turned" role="group" aria-label="It was turned">
    <BButton v-if="whileLocking" class="btn-act" @click="$emit('tried', { blades: [whileLocking], feel: 'drag' })"
      >Locked: {{ whileLocking }} drags</BButton
    >
    <template v-if="point.mayTurn && point.locks">
      <BButton class="btn-plain" @click="$emit('turned', 'loose')">Turned, nut loose</BButton>
      <BButton class="btn-plain" @click="$emit('turned', 'tight')">{{
        stage === 'beforeLock' ? 'Locked already' : 'Turned and locked'
      }}</BButton>
    </template>
    <BButton v-else-if="point.mayTurn" class="btn-plain" @click="$emit('turned')">Turned it</BButton>
  </div>
</template>

<style scoped>
.turned {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
  margin-bottom: 0.4rem;
}
.turned .btn-act {
  flex: 1 1 12rem;
}
</style>
