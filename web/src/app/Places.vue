<script setup lang="ts">
import { useRoute } from 'vue-router'

/** The places of the application, as links; along the top on a desk, down a drawer on a phone. */
defineEmits<{ went: [] }>()
const route = useRoute()
const places = [
  { to: '/', text: 'Yard', names: ['yard', 'engine', 'record', 'due', 'slip'] },
  { to: '/at-the-engine', text: 'At the engine', names: ['visits', 'open'] },
  { to: '/plan', text: 'Planner', names: ['plan', 'job-card'] },
  { to: '/shims', text: 'Shims', names: ['shims', 'shim-bench', 'shim-job'] },
  { to: '/hours', text: 'Hours', names: ['hours'] },
  { to: '/drift', text: 'Drift', names: ['drift', 'engine-drift'] },
  { to: '/book', text: 'Book', names: ['book', 'new-type'] },
  { to: '/pocket', text: 'Pocket', names: ['pocket'] },
  { to: '/logbook', text: 'Logbook', names: ['logbook'] },
  { to: '/this-tablet', text: 'This tablet', names: ['this-tablet', 'install'] },
  { to: '/settings', text: 'Settings', names: ['settings', 'hand'] },
]
</script>

<template>
  <nav aria-label="Main">
    <RouterLink
      v-for="place in places"
      :key="place.to"
      :to="place.to"
      :class="{ here: place.names.includes(String(route.name)) }"
      :aria-current="place.names.includes(String(route.name)) ? 'page' : undefined"
      @click="$emit('went')"
    >
      {{ place.text }}
    </RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.5rem;
}
a {
  display: flex;
  align-items: center;
  min-height: 48px;
  min-width: 44px;
  color: var(--ink-soft);
  text-decoration: none;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  white-space: nowrap;
}
a.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
</style>
