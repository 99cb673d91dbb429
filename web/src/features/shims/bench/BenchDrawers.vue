<script setup lang="ts">
import { size } from '../../../shared/words/shims'
import type { Bench } from './useBench'

/** What lies in the drawers of the place: each size as a stack, to be dragged onto a point. */
defineProps<{ bench: Bench }>()
defineEmits<{ take: [event: PointerEvent, mm: number] }>()
</script>

<template>
  <section class="plate p-3" aria-label="Drawers">
    <h2>{{ bench.drawers.length === 1 ? bench.drawers[0]!.name : 'At hand' }}</h2>
    <p v-if="!bench.drawers.length" class="small soft mb-0">
      {{ bench.engines[0]?.site }} has none: what is at hand is only what sits in the engine.
    </p>
    <div v-for="d in bench.drawers" :key="d.id">
      <p v-if="bench.drawers.length > 1" class="small mb-0 mt-1">{{ d.name }}</p>
      <div v-if="d.held.length" class="stacks">
        <div
          v-for="h in d.held"
          :key="h.sizeMm"
          class="stack"
          :title="`${h.count} of ${size(h.sizeMm)}`"
          @pointerdown="$emit('take', $event, h.sizeMm)"
        >
          <svg
            :viewBox="`0 0 34 ${Math.min(h.count, 4) * 11}`"
            width="34"
            :height="Math.min(h.count, 4) * 11"
            aria-hidden="true"
          >
            <rect v-for="n in Math.min(h.count, 4)" :key="n" x="1" :y="(n - 1) * 11 + 1" width="32" height="9" />
          </svg>
          <span class="figure small">{{ size(h.sizeMm) }}</span>
          <span class="small soft">{{ h.count }}</span>
        </div>
      </div>
      <p v-else class="small soft mb-0">nothing in it fits here</p>
    </div>
    <p class="small mt-2 mb-0"><RouterLink to="/shims">Stock, counts and movements</RouterLink></p>
  </section>
</template>

<style scoped>
.stacks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.5rem;
}
.stack {
  display: grid;
  justify-items: center;
  align-content: end;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
rect {
  fill: var(--shade);
  stroke: var(--ink-soft);
  stroke-width: 1.2;
}
</style>
