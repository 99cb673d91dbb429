<script setup lang="ts">
import { computed } from 'vue'
import StateMark from '../../../instruments/StateMark.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { readingText } from '../../../shared/words/readings'
import { trailOf } from './trailOf'
import type { Point, Stage } from './useVisit'

/** The way of one gap through its setting: found · before locking · locked · again, with what failed on the way. */
const props = defineProps<{ point: Point; stage: Stage; figures: Figures }>()
const steps = computed(() => trailOf(props.point, props.stage))
</script>

<template>
  <ol class="trail" aria-label="How it was set">
    <li v-for="s in steps" :key="s.key" :class="[{ here: s.here }, s.reading ? `is-${s.reading.state}` : '']">
      <span class="caps">{{ s.word }}</span>
      <span class="figure">
        <template v-if="s.reading">{{ readingText(s.reading, figures.figure, true) }}</template>
        <template v-else>…</template>
        <StateMark v-if="s.reading?.state" :state="s.reading.state" :size="18" />
      </span>
    </li>
  </ol>
</template>

<style scoped>
.trail {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
  padding: 0;
  margin: 0.4rem 0;
}
.trail li {
  display: flex;
  flex-direction: column;
  border-top: 3px solid var(--line);
  padding: 0.2rem 0.9rem 0.1rem 0;
  min-width: 104px;
}
.trail li.here {
  border-top-color: var(--blue);
}
.trail .caps {
  font-size: 0.8rem;
}
.trail .figure {
  display: flex;
  gap: 0.35rem;
  align-items: center;
  font-size: 1.2rem;
}
</style>
