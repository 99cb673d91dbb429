<script setup lang="ts">
/** Two bars: nearly touching is tight, far apart is loose, even is in the window; hatched is borderline. Always beside a word. */
const props = defineProps<{ state?: 'tight' | 'loose' | 'inWindow' | 'borderline' | null; size?: number }>()
const gap = { tight: 2, loose: 8, inWindow: 5, borderline: 5 }
const words = { tight: 'tight', loose: 'loose', inWindow: 'in window', borderline: 'borderline' }
</script>

<template>
  <svg
    v-if="state"
    class="mark"
    :class="`is-${state}`"
    viewBox="0 0 20 16"
    :width="props.size ?? 18"
    :height="(props.size ?? 18) * 0.8"
    role="img"
    :aria-label="words[state]"
  >
    <g :stroke="'currentColor'" stroke-width="3.2" :stroke-dasharray="state === 'borderline' ? '3 2' : undefined">
      <line x1="0" x2="20" :y1="8 - gap[state] / 2 - 1.6" :y2="8 - gap[state] / 2 - 1.6" />
      <line x1="0" x2="20" :y1="8 + gap[state] / 2 + 1.6" :y2="8 + gap[state] / 2 + 1.6" />
    </g>
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
}
.is-inWindow,
.is-borderline {
  color: var(--ink);
}
</style>
