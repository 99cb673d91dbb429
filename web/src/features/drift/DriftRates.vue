<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import RateStrip, { type RateLine } from '../../instruments/RateStrip.vue'
import type { Figures } from '../../shared/figures/useFigures'
import { rateText } from '../../shared/words/drift'

/** The rates of the points, fastest first, with those of sister engines behind them. */
const props = defineProps<{
  drift: Schemas['EngineDriftResponse']
  figures: Figures
  picked?: string
  sisters: boolean
}>()
defineEmits<{ pick: [label: string] }>()
const lines = computed((): RateLine[] =>
  props.drift.points
    .filter((p) => p.mmPer1000h != null && p.standardErrorMmPer1000h != null)
    .sort((a, b) => Math.abs(b.mmPer1000h!) - Math.abs(a.mmPer1000h!))
    .map((p) => ({
      key: p.label,
      name: p.label,
      mmPer1000h: p.mmPer1000h!,
      standardErrorMmPer1000h: p.standardErrorMmPer1000h!,
      sisters: props.sisters ? props.drift.sisters.filter((s) => sameKind(s.point, p)).map((s) => s.mmPer1000h) : [],
      stands: p.unlikeSiblings ? (p.mmPer1000h! < 0 ? 'tight' : 'loose') : '',
      says: rateText(p, props.figures),
    })),
)
function sameKind(label: string, p: Schemas['EngineDriftPointResponse']) {
  return props.drift.points.find((o) => o.label === label)?.kind === p.kind
}
</script>

<template>
  <section class="plate p-3" aria-label="Rates" data-drawing data-caption="Rates">
    <h2>Rates, {{ figures.unit }} a 1000 h</h2>
    <p class="small soft mb-2">Line: nine in ten. Grey: the same kind on sister engines.</p>
    <RateStrip
      :lines="lines"
      :figures="figures"
      :picked="picked"
      label="Rates of the points"
      @pick="$emit('pick', $event)"
    />
  </section>
</template>
