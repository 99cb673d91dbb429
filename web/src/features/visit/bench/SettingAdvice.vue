<script setup lang="ts">
import { computed } from 'vue'
import { hours } from '../../../shared/figures/hours'
import type { Figures } from '../../../shared/figures/useFigures'
import type { Point, Sheet, Stage } from './useVisit'

/** What to do to a point that is to be set, from the last that is known of it, in the manner of whoever sets it. */
const props = defineProps<{ sheet: Sheet; point: Point; figures: Figures; stage: Stage; resetting: boolean }>()

const advice = computed(() => (props.resetting ? props.point.adviceIfSet : props.point.advice))
const guide = computed(() => props.point.guide)
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
  </div>
</template>

<style scoped>
.advice {
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
}
</style>
