<script setup lang="ts">
import { useRoute } from 'vue-router'
import MoreMenu from '../shared/menus/MoreMenu.vue'

/** The five places of the work, and More for what is done seldom; along the top on a desk, all of them down a drawer on a phone. */
defineProps<{ all?: boolean }>()
defineEmits<{ went: [] }>()
const route = useRoute()
interface Place {
  to: string
  text: string
  names: string[]
}
const five: Place[] = [
  { to: '/', text: 'Yard', names: ['yard', 'engine', 'record', 'slip'] },
  { to: '/at-the-engine', text: 'At the engine', names: ['visits', 'open'] },
  { to: '/plan', text: 'Plan', names: ['plan', 'plan-limits', 'job-card', 'due', 'shims', 'shim-bench', 'shim-job'] },
  { to: '/book', text: 'Book', names: ['book', 'new-type'] },
  { to: '/drift', text: 'Drift', names: ['drift', 'engine-drift'] },
]
const more: Place[] = [
  { to: '/due', text: 'Due list', names: ['due'] },
  { to: '/shims', text: 'Shims', names: ['shims', 'shim-bench', 'shim-job'] },
  { to: '/hours', text: 'Hours', names: ['hours'] },
  { to: '/pocket', text: 'Pocket', names: ['pocket'] },
  { to: '/year', text: 'The year', names: ['year'] },
  { to: '/logbook', text: 'Import and export', names: ['logbook'] },
  { to: '/this-tablet', text: 'This tablet', names: ['this-tablet', 'install'] },
  { to: '/settings', text: 'Settings', names: ['settings', 'hand'] },
  { to: '/help', text: 'Help', names: ['help'] },
]
const isHere = (place: Place) => place.names.includes(String(route.name))
</script>

<template>
  <nav aria-label="Main">
    <RouterLink
      v-for="place in all ? [...five, ...more] : five"
      :key="place.to"
      :to="place.to"
      class="place"
      :class="{ here: isHere(place) }"
      :aria-current="isHere(place) ? 'page' : undefined"
      @click="$emit('went')"
    >
      {{ place.text }}
    </RouterLink>
    <MoreMenu v-if="!all" text="More ▾" plain :class="{ here: more.some(isHere) && !five.some(isHere) }">
      <li v-for="place in more" :key="place.to">
        <RouterLink :to="place.to" :aria-current="isHere(place) ? 'page' : undefined">{{ place.text }}</RouterLink>
      </li>
    </MoreMenu>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.5rem;
}
.place {
  display: flex;
  align-items: center;
  min-height: 48px;
  min-width: 44px;
  padding: 0;
  color: var(--ink-soft);
  text-decoration: none;
  background: none;
  border: 0;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  white-space: nowrap;
}
.place.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
.here :deep(.place) {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
</style>
