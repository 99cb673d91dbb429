<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import HeadMap from '../../../instruments/HeadMap.vue'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { usePreferences } from '../../../shared/preferences'
import { readingText } from '../../../shared/words/readings'
import type { Point, Sheet } from './useVisit'

/** Over the bench: every point where it lies in the machine, with its last figure; what this stop does not reach is grey. */
const props = defineProps<{ sheet: Sheet; stop?: Schemas['SheetStopRecord']; current?: Point }>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures(() => props.sheet.trayUnit as Unit)
const preferences = usePreferences()
/** A bracket stands at its middle: there is room for one figure only. */
const figureOf = (p: Point) => {
  const reading = p.left ?? p.found
  return reading?.estimateMm != null
    ? figures.rough(reading.estimateMm)
    : readingText(reading, figures.figure, true) || null
}
const heads = computed(() =>
  props.sheet.points.map((p) => ({
    ...p,
    id: p.label,
    figure: figureOf(p),
    state: (p.left ?? p.found)?.state ?? null,
    dim: props.sheet.lobeAway
      ? !p.done &&
        !props.sheet.lobeAway.here.includes(p.label) &&
        !props.sheet.lobeAway.computed.some((c) => c.point === p.label)
      : props.stop
        ? !props.stop.points.includes(p.label)
        : false,
  })),
)
</script>

<template>
  <section class="heads" aria-label="The heads">
    <HeadMap :points="heads" :mirrored="preferences.mirrored" :current="current?.label" @pick="$emit('pick', $event)" />
  </section>
</template>

<style scoped>
.heads {
  padding: 0.2rem 14px 0.4rem;
  background: var(--plate);
  border-bottom: 1px solid var(--hairline);
}
@media print {
  .heads {
    display: none;
  }
}
</style>
