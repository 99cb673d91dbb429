<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { hours } from '../../../shared/figures/hours'
import type { Figures } from '../../../shared/figures/useFigures'
import type { Point, Sheet, Stage, Trial } from './useVisit'

/** What to do to a point that is to be set, from the last that is known of it, in the manner of whoever sets it. */
const props = defineProps<{ sheet: Sheet; point: Point; figures: Figures; stage: Stage; resetting: boolean }>()
defineEmits<{ tried: [trial: Trial]; turned: [nut?: 'loose' | 'tight'] }>()

const advice = computed(() => (props.resetting ? props.point.adviceIfSet : props.point.advice))
const guide = computed(() => props.point.guide)
/** The blade in while it is locked: what it does then is all there is to say. */
const whileLocking = computed(() =>
  props.sheet.manner === 'bladeIn' && props.stage === 'asLeft' && !props.point.dial && !props.point.leftDraft
    ? guide.value?.setBlade
    : null,
)
</script>

<template>
  <div class="advice">
    <p v-if="point.turned" class="verdict">{{ point.turned }}</p>
    <p v-else-if="point.dial ?? advice" class="verdict">{{ point.dial?.sentence ?? advice?.sentence }}</p>
    <p v-for="line in point.dial ? [] : (guide?.lines ?? [])" :key="line" class="mb-1">{{ line }}</p>
    <p v-if="point.nutSaid" class="small soft mb-1">{{ point.nutSaid }}</p>
    <p v-if="point.setIsOurs" class="small soft mb-1">
      The book gives a window and no figure to set: {{ figures.withUnit(point.setMm) }} is its middle.
    </p>
    <p v-if="point.aimOffMm != null" class="small soft mb-1">
      Left at {{ figures.withUnit(point.aimOffMm) }} it gives the engine about {{ hours(point.aimOffHours ?? 0) }} h
      more; the book says {{ figures.figure(point.setMm) }}.
    </p>
    <BButton
      v-if="whileLocking"
      class="btn-act w-100 mb-1"
      @click="$emit('tried', { blades: [whileLocking], feel: 'drag' })"
      >Locked: {{ whileLocking }} drags</BButton
    >
    <div v-if="point.mayTurn" class="turned" role="group" aria-label="It was turned">
      <template v-if="point.locks">
        <BButton class="btn-plain" @click="$emit('turned', 'loose')">Turned, nut loose</BButton>
        <BButton class="btn-plain" @click="$emit('turned', 'tight')">{{
          stage === 'beforeLock' ? 'Locked already' : 'Turned and locked'
        }}</BButton>
      </template>
      <BButton v-else class="btn-plain" @click="$emit('turned')">Turned it</BButton>
    </div>
  </div>
</template>

<style scoped>
.advice {
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
}
.turned {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
  margin-top: 0.3rem;
}
</style>
