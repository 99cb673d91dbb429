<script setup lang="ts">
import { computed } from 'vue'
import StateMark from '../../../instruments/StateMark.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import type { Point } from './useVisit'

/** What a reading says so far, and the blade that would tell more. */
const props = defineProps<{ growing: NonNullable<Point['foundDraft']>; setting: boolean; figures: Figures }>()
const nowText = computed(() => readingText(props.growing, props.figures.figure))
const verdict = computed(() => {
  const now = props.growing
  if (now.onFigure) return `On the figure: ${nowText.value}.`
  if (now.side && !now.state)
    return now.side === 'tight'
      ? `Under the figure: the set blade does not go.`
      : `Over the figure: the set blade slides.`
  return now.state
    ? `${verdictWords[now.state].replace(/^./, (c) => c.toUpperCase())}: ${nowText.value}.`
    : `Reads ${nowText.value}.`
})
</script>

<template>
  <p v-if="nowText" class="verdict mt-2" :class="`is-${growing.state ?? growing.side}`" aria-live="polite">
    <StateMark :state="growing.state ?? growing.side" :size="26" />
    {{ verdict }}
    <span v-if="growing.estimateMm != null" class="small soft">{{ figures.other(growing.estimateMm) }}</span>
    <span v-if="growing.nextBlade" class="small">Next: the {{ growing.nextBlade.blades.join(' + ') }} blade.</span>
    <span v-else-if="growing.action === 'yours'" class="small">No blade of this tray tells more: yours to decide.</span>
    <span v-else-if="growing.trendBlade && !setting" class="small soft"
      >To narrow it, try {{ growing.trendBlade.blades.join(' + ') }}.</span
    >
  </p>
</template>
