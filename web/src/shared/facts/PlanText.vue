<script setup lang="ts">
import type { Schemas } from '../../api/client'

/** A turning plan as it is called out: stop by stop, what to turn, what to set, and what cannot be set. */
const props = defineProps<{
  plan: Schemas['TurningPlanResponse']
  /** The type's points, whose order along the heads is the order at the engine too. */
  points: { cylinder: number; kind: string; label: string; bookName?: string | null }[]
  /** A book's own list, to the letter: its order and its names. */
  asListed?: boolean
}>()
function labels(stop: Schemas['StopResponse']) {
  const place = (p: { cylinder: number; kind: string }) =>
    stop.set.findIndex((s) => s.cylinder === p.cylinder && s.kind === p.kind)
  const here = props.points.filter((p) => place(p) >= 0)
  if (props.asListed) here.sort((a, b) => place(a) - place(b))
  return here.map((p) => (props.asListed && p.bookName ? `${p.bookName} (${p.label})` : p.label)).join('  ')
}
const least = (stop: Schemas['StopResponse']) => {
  const margins = stop.set.map((p) => p.marginDeg).filter((m): m is number => m !== null && m !== undefined)
  return margins.length ? Math.round(Math.min(...margins)) : null
}
</script>

<template>
  <p v-if="!plan.stops.length && plan.openArcs.length" class="mb-0">
    No stops: each is measured where its lobe points away, in any order. What is done is crossed off.
  </p>
  <ol v-else class="stops">
    <li v-for="(stop, i) in plan.stops" :key="i">
      <p v-if="i > 0" class="soft mb-1">Turn {{ Math.round(stop.turnFromPreviousDeg * 10) / 10 }}° forwards</p>
      <p class="mb-0">
        <strong>Stop {{ i + 1 }}</strong>
        · {{ stop.sign }}
      </p>
      <p class="figure mb-2">
        {{ labels(stop) || 'nothing' }}
        <span v-if="least(stop) !== null" class="soft small">at least {{ least(stop) }}° to spare</span>
      </p>
    </li>
  </ol>
  <div v-if="plan.cannotSet.length" class="cannot">
    <strong>Not placed:</strong>
    <ul class="mb-0">
      <li v-for="p in plan.cannotSet" :key="`${p.cylinder}${p.kind}`">{{ p.reason }}</li>
    </ul>
  </div>
</template>

<style scoped>
.stops {
  list-style: none;
  padding: 0;
  margin: 0.5rem 0 0;
}
.figure {
  white-space: pre-wrap;
}
.cannot {
  border-left: 4px solid var(--ink);
  padding: 0.3rem 0.8rem;
}
</style>
