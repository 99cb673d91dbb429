<script setup lang="ts">
import { computed } from 'vue'
import { letterOf } from './letterOf'

/** The heads from above: cylinders and lash points where they sit, FRONT to the left, one row a bank. */
export interface HeadPoint {
  label: string
  cylinder: number
  kind: string
  place?: string | null
  bank: number
  along: number
  figure?: string | null
  state?: 'tight' | 'loose' | 'inWindow' | 'borderline' | null
  dim?: boolean
}
const props = defineProps<{ points: HeadPoint[]; current?: string | null; letters?: boolean }>()
const emit = defineEmits<{ pick: [label: string] }>()

const banks = computed(() => {
  const byBank = new Map<number, HeadPoint[]>()
  for (const point of props.points) byBank.set(point.bank, [...(byBank.get(point.bank) ?? []), point])
  return [...byBank.entries()].sort((a, b) => a[0] - b[0]).map(([, points]) => points.sort((a, b) => a.along - b.along))
})
const most = computed(() => Math.max(1, ...banks.value.map((bank) => bank.length)))
const slot = computed(() => Math.min(30, 300 / most.value))
const rowHeight = 112
const starts = (bank: HeadPoint[]) => {
  const seen: { cylinder: number; from: number; count: number }[] = []
  bank.forEach((point, i) => {
    const last = seen.at(-1)
    if (last && last.cylinder === point.cylinder) last.count++
    else seen.push({ cylinder: point.cylinder, from: i, count: 1 })
  })
  return seen
}
</script>

<template>
  <svg
    class="head"
    :viewBox="`0 0 312 ${18 + banks.length * rowHeight}`"
    role="group"
    aria-label="Head map, front to the left"
  >
    <text x="2" y="11" class="front">◂ FRONT</text>
    <g v-for="(bank, b) in banks" :key="b" :transform="`translate(6, ${18 + b * rowHeight})`">
      <g v-for="group in starts(bank)" :key="group.cylinder">
        <text :x="(group.from + group.count / 2) * slot" y="13" class="cylinder">{{ group.cylinder }}</text>
        <rect :x="group.from * slot + 0.5" y="18" :width="group.count * slot - 2" height="86" class="bore" />
      </g>
      <g
        v-for="(point, i) in bank"
        :key="point.label"
        class="point"
        :class="[point.state ? `is-${point.state}` : '', { dim: point.dim, current: point.label === current }]"
        role="button"
        tabindex="0"
        :aria-label="`${point.label}${point.figure ? ', ' + point.figure : ''}${point.state && point.state !== 'inWindow' ? ', ' + point.state : ''}`"
        @click="emit('pick', point.label)"
        @keydown.enter.prevent="emit('pick', point.label)"
        @keydown.space.prevent="emit('pick', point.label)"
      >
        <rect :x="i * slot + 2" y="20" :width="slot - 5" height="82" class="slot" />
        <text :x="i * slot + slot / 2 - 0.5" y="35" class="letter">{{ letterOf(point.kind) }}</text>
        <text v-if="point.figure" class="value" :transform="`translate(${i * slot + slot / 2 + 3.5}, 98) rotate(-90)`">
          {{ point.figure }}
        </text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.head {
  width: 100%;
  display: block;
}
.front {
  font-size: 10px;
  letter-spacing: 0.08em;
  fill: var(--ink-soft);
}
.cylinder {
  text-anchor: middle;
  font-weight: 700;
  font-size: 13px;
  fill: var(--ink);
}
.bore {
  fill: none;
  stroke: var(--hairline);
}
.slot {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.letter {
  text-anchor: middle;
  font-weight: 700;
  font-size: 12px;
  fill: var(--ink);
}
.value {
  font-family: var(--mono);
  font-size: 11.5px;
  fill: var(--ink);
}
.point {
  cursor: pointer;
}
.dim .slot {
  fill: var(--shade);
  stroke: var(--hairline);
}
.dim .letter {
  fill: var(--ink-soft);
}
.is-tight .slot {
  stroke: var(--tight);
  stroke-width: 2.4;
}
.is-tight .value,
.is-tight .letter {
  fill: var(--tight);
}
.is-loose .slot {
  stroke: var(--loose);
  stroke-width: 2.4;
}
.is-loose .value,
.is-loose .letter {
  fill: var(--loose);
}
.current .slot {
  fill: var(--blue);
  stroke: var(--blue);
}
.current .letter,
.current .value {
  fill: var(--on-blue);
}
</style>
