<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onBeforeUnmount, onMounted, ref, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { startSending } from '../offline/sender'
import { usePreferences } from '../shared/preferences'
import KeysDialog from './KeysDialog.vue'
import { bringEveryPage } from './router'
import ServerGone from './ServerGone.vue'
import Toasts from './Toasts.vue'

const route = useRoute()
const client = useQueryClient()
const preferences = usePreferences()
watchEffect(() => document.documentElement.setAttribute('data-bs-theme', preferences.theme))
const keys = ref(false)
let stop = () => {}
onMounted(() => {
  stop = startSending(client)
  bringEveryPage()
})
onBeforeUnmount(() => stop())

const places = [
  { to: '/', text: 'Yard', names: ['yard', 'engine', 'record'] },
  { to: '/at-the-engine', text: 'At the engine', names: ['visits', 'open'] },
  { to: '/book', text: 'Book', names: ['book', 'new-type'] },
  { to: '/pocket', text: 'Pocket', names: ['pocket'] },
  { to: '/logbook', text: 'Logbook', names: ['logbook'] },
  { to: '/settings', text: 'Settings', names: ['settings'] },
]
</script>

<template>
  <a class="visually-hidden-focusable skip" href="#main">Skip to the page</a>
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
      <RouterLink to="/help" class="mark" aria-label="Help and glossary">?</RouterLink>
    </div>
  </header>
  <ServerGone />
  <div id="main">
    <RouterView />
  </div>
  <KeysDialog v-model="keys" />
  <Toasts />
</template>

<style scoped>
.skip {
  position: absolute;
  background: var(--plate);
  padding: 0.6rem 1rem;
  z-index: 20;
}
.top {
  display: flex;
  align-items: stretch;
  gap: 0 2rem;
  min-height: 54px;
  padding: 0 1.5rem;
  background: var(--plate);
  border-bottom: 1.5px solid var(--line);
  flex-wrap: wrap;
}
.brand {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 54px;
  font-weight: 700;
  font-size: 1.2rem;
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.5rem;
}
nav a {
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
.settings button,
.mark {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  border: 1px solid var(--line);
  background: var(--plate);
  color: var(--ink-soft);
  border-radius: 3px;
  min-height: 44px;
  min-width: 52px;
  text-decoration: none;
}
@media (max-width: 900px) {
  .top {
    gap: 0 1rem;
    padding: 0 0.75rem;
  }
  nav {
    order: 3;
    flex: 1 1 100%;
    gap: 0 1.1rem;
  }
}
@media print {
  .top,
  .skip {
    display: none;
  }
}
</style>
