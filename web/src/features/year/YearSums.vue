<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { hours } from '../../shared/figures/hours'
import { plural } from '../../shared/words/counts'
import { found, work } from './yearWords'

/** The year of groups of engines side by side: kinds of machine, or places. */
defineProps<{ of: string; groups: { name: string; engines: number; figures: Schemas['YearFigures'] }[] }>()
</script>

<template>
  <table class="sums">
    <thead>
      <tr>
        <th scope="col">{{ of }}</th>
        <th scope="col" class="n">Opened</th>
        <th scope="col">Found</th>
        <th scope="col" class="n">Run, h</th>
        <th scope="col" class="n">Work timed</th>
        <th scope="col" class="n">By the manual</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="g in groups" :key="g.name">
        <th scope="row">
          {{ g.name }} <span class="small soft">{{ plural(g.engines, 'engine') }}</span>
        </th>
        <td class="n figure">{{ g.figures.openings }}</td>
        <td>{{ found(g.figures) }}</td>
        <td class="n figure">{{ g.figures.hoursRun == null ? '' : hours(g.figures.hoursRun) }}</td>
        <td class="n figure">{{ g.figures.timed ? work(g.figures.workedHours) : '' }}</td>
        <td class="n figure">{{ g.figures.bookOpenings }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.sums {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 0.35rem 0.5rem 0.35rem 0;
  border-bottom: 1px solid var(--hairline);
  vertical-align: baseline;
}
thead th {
  font-weight: 400;
  color: var(--ink-soft);
  font-size: 0.85rem;
}
tbody th {
  font-weight: 600;
}
.n {
  text-align: right;
}
</style>
