<script setup lang="ts">
import { watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { usePreferences } from './preferences'
import KeysDialog from './KeysDialog.vue'

const route = useRoute()
const preferences = usePreferences()
watchEffect(() => document.documentElement.setAttribute('data-bs-theme', preferences.theme))

const places = [
  { to: '/', text: 'Yard', names: ['yard', 'engine', 'record'] },
  { to: '/at-the-engine', text: 'At the engine', names: ['at-the-engine', 'start-overhead'] },
  { to: '/book', text: 'Book', names: ['book', 'new-type'] },
  { to: '/pocket', text: 'Pocket', names: ['pocket'] },
  { to: '/logbook', text: 'Logbook', names: ['logbook'] },
]
</script>

<template>
  <a class="visually-hidden-focusable" href="#main">Skip to the page</a>
  <header v-if="!route.meta.bare" class="top">
    <RouterLink to="/" class="brand">
      <svg viewBox="0 0 20 16" width="20" height="16" aria-hidden="true">
        <rect y="1" width="20" height="3.4" fill="var(--blue)" />
        <rect y="11.6" width="20" height="3.4" fill="var(--blue)" />
      </svg>
      Zero Drift
    </RouterLink>
    <nav aria-label="Main">
      <RouterLink
        v-for="place in places"
        :key="place.to"
        :to="place.to"
        :class="{ here: place.names.includes(String(route.name)) }"
        :aria-current="place.names.includes(String(route.name)) ? 'page' : undefined"
      >
        {{ place.text }}
      </RouterLink>
    </nav>
    <div class="settings">
      <button
        type="button"
        :title="`Figures in ${preferences.unit}; press for ${preferences.unit === 'mm' ? 'thou' : 'mm'} first`"
        @click="preferences.toggleUnit()"
      >
        {{ preferences.unit }}
      </button>
      <button type="button" title="Light or dim" @click="preferences.toggleTheme()">
        {{ preferences.theme === 'dark' ? 'dim' : 'light' }}
      </button>
    </div>
  </header>
  <div id="main">
    <RouterView />
  </div>
  <KeysDialog />
</template>

<style scoped>
.top {
  display: flex;
  align-items: stretch;
  gap: 2.2rem;
  height: 54px;
  padding: 0 1.5rem;
  background: var(--plate);
  border-bottom: 1.5px solid var(--line);
}
.brand {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  font-weight: 700;
  font-size: 1.2rem;
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
nav {
  display: flex;
  gap: 1.6rem;
  overflow-x: auto;
}
nav a {
  display: flex;
  align-items: center;
  color: var(--ink-soft);
  text-decoration: none;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  white-space: nowrap;
}
nav a.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
.settings {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.settings button {
  border: 1px solid var(--hairline);
  background: var(--plate);
  color: var(--ink-soft);
  border-radius: 3px;
  min-height: 36px;
  min-width: 52px;
}
@media (max-width: 900px) {
  .top {
    gap: 1rem;
    padding: 0 0.75rem;
  }
  nav {
    gap: 1rem;
  }
}
</style>
