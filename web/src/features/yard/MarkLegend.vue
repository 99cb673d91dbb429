<script setup lang="ts">
import StateMark, { type Wears } from '../../instruments/StateMark.vue'

/** What the marks mean, in the order of their gravity. */
const marks: [Wears, string][] = [
  ['tight', 'tight'],
  ['loose', 'loose'],
  ['pastInterval', 'past its interval'],
  ['wearing', 'wearing'],
  ['due', 'due'],
  ['neverMeasured', 'never measured'],
]
</script>

<template>
  <ul class="legend small soft" aria-label="What the marks mean">
    <li v-for="[state, text] in marks" :key="state">
      <StateMark :state="state" :size="16" aria-hidden="true" /> {{ text }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.9rem;
  list-style: none;
  margin: 0 0.75rem 0.3rem;
  padding: 0;
}
.legend li {
  display: flex;
  align-items: center;
  gap: 0.35rem;
}
</style>
