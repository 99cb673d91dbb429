<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'

/** Days across, mechanics down; a job is a box from its first to its last day, a flag stands on its due day. */
const props = defineProps<{
  days: number
  start: string
  technicians: (string | undefined)[]
  assignments: Schemas['AssignmentResponse'][]
  due: Record<string, number | null>
}>()
const left = 76
const width = 520
const step = computed(() => width / Math.max(1, props.days))
const rows = computed(() => {
  let y = 26
  return props.technicians.map((name) => {
    const jobs = props.assignments.filter((a) => a.technician === name)
    const row = {
      name,
      y,
      jobs: jobs.map((job, i) => ({ job, y: y + 4 + i * 28 })),
      height: Math.max(34, jobs.length * 28 + 8),
    }
    y += row.height + 6
    return row
  })
})
const height = computed(() => (rows.value.at(-1)?.y ?? 0) + (rows.value.at(-1)?.height ?? 40) + 6)
const letter = (i: number) => {
  const first = new Date(`${props.start}T12:00:00Z`)
  return Number.isNaN(first.getTime()) ? `${i}` : 'SMTWTFS'[(first.getUTCDay() + i) % 7]
}
</script>

<template>
  <svg
    class="plan"
    :viewBox="`0 0 ${left + width + 8} ${height}`"
    role="img"
    :aria-label="`A plan of ${assignments.length} jobs`"
  >
    <text v-for="i in days" :key="i" :x="left + (i - 0.5) * step" y="16" class="day">
      {{ days > 31 && i % 7 !== 1 ? '' : letter(i - 1) }}
    </text>
    <g v-for="row in rows" :key="row.name">
      <rect :x="left" :y="row.y" :width="width" :height="row.height" class="row" />
      <template v-for="i in days" :key="i">
        <rect
          v-if="letter(i - 1) === 'S'"
          :x="left + (i - 1) * step"
          :y="row.y"
          :width="step"
          :height="row.height"
          class="off"
        />
      </template>
      <text x="2" :y="row.y + 20" class="name">{{ row.name }}</text>
      <g v-for="{ job, y } in row.jobs" :key="job.job">
        <line
          v-if="due[job.job] != null"
          :x1="left + job.day * step"
          :x2="left + Math.min(days, (due[job.job] ?? 0) + 1) * step"
          :y1="y + 23"
          :y2="y + 23"
          class="lead"
        />
        <path
          v-if="due[job.job] != null && (due[job.job] ?? 99) < days"
          :d="`M ${left + ((due[job.job] ?? 0) + 1) * step - 1} ${y + 23} v -13 h 9 l -2.5 3.2 l 2.5 3.2 h -9`"
          class="flag"
        />
        <rect
          :x="left + job.day * step + 1"
          :y="y"
          :width="(job.lastDay - job.day + 1) * step - 2"
          height="19"
          class="job"
        />
        <text :x="left + (job.lastDay + 1) * step + 12" :y="y + 14" class="label">{{ job.job }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.plan {
  width: 100%;
}
.day {
  text-anchor: middle;
  font-family: var(--mono);
  font-size: 11px;
  fill: var(--ink-soft);
}
.row {
  fill: var(--plate);
  stroke: var(--hairline);
}
.off {
  fill: var(--shade);
}
.name {
  font-weight: 700;
  font-size: 14px;
  fill: var(--ink);
}
.job {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.label {
  font-size: 11.5px;
  font-weight: 700;
  fill: var(--ink);
}
.lead {
  stroke: var(--line);
}
.flag {
  fill: var(--blue);
  stroke: var(--blue);
}
</style>
