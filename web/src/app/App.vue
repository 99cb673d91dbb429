<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { defineAsyncComponent, onBeforeUnmount, onMounted, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { usePreferences } from '../shared/preferences'
import { isTyping } from '../shared/keys/keys'
import { useTypedAhead } from '../shared/keys/useTypedAhead'
import { useEver } from '../shared/loaded/useEver'
import Places from './Places.vue'
import ShownAs from './ShownAs.vue'
import { bringEveryPage } from './router'
import Toasts from './Toasts.vue'
import { offerUpdates } from './updates'

const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const preferences = usePreferences()
watchEffect(() => document.documentElement.setAttribute('data-bs-theme', preferences.theme))
const help = ref(false)
const finding = ref(false)
const sought = ref('')
useTypedAhead(() => finding.value, sought)
// Dialogs come when one is asked for.
const PageHelpDialog = defineAsyncComponent(() => import('./PageHelpDialog.vue'))
const FindDialog = defineAsyncComponent(() => import('./FindDialog.vue'))
const askedForHelp = useEver(() => help.value)
const soughtOnce = useEver(() => finding.value)
function listen(event: KeyboardEvent) {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  // Pressed while a dialog is still on its way, which does not hear it yet.
  if (event.key === 'Escape') help.value = finding.value = false
  if (event.key === '?') help.value = !help.value
  if (event.key === '/' && !document.querySelector('.modal.show')) {
    event.preventDefault()
    find()
  }
}
function find() {
  sought.value = ''
  finding.value = true
}
let stop: (() => void)[] = []
onMounted(() => {
  bringEveryPage()
  window.addEventListener('keydown', listen)
  void offerUpdates(router)
  void goOffline()
})
onBeforeUnmount(() => {
  stop.forEach((s) => s())
  window.removeEventListener('keydown', listen)
})

/** What waits is sent and what was taken along is followed, once the page is shown. */
async function goOffline() {
  const [{ startSending }, { followTaken }, { keepUpToDate }] = await Promise.all([
    import('../offline/sender'),
    import('../offline/taken'),
    import('../offline/taking'),
  ])
  stop = [startSending(client), followTaken(), keepUpToDate(client)]
}
const WaitsBanner = defineAsyncComponent(() => import('./WaitsBanner.vue'))

// Only a phone needs the drawer; nobody else loads it.
const PlacesDrawer = defineAsyncComponent(() => import('./PlacesDrawer.vue'))
const going = ref(false)
const wentOnce = useEver(() => going.value)
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
    <button type="button" class="drawer" aria-haspopup="dialog" :aria-expanded="going" @click="going = true">
      Go to
    </button>
    <Places class="along" />
    <div class="settings">
      <button type="button" class="finds" aria-keyshortcuts="/" @click="find">
        Find <kbd aria-hidden="true">/</kbd>
      </button>
      <ShownAs class="seldom" />
      <button type="button" class="mark" aria-label="What this page is for, and its keys" @click="help = true">
        ?
      </button>
    </div>
  </header>
  <WaitsBanner />
  <div id="main">
    <RouterView />
  </div>
  <PlacesDrawer v-if="wentOnce" v-model="going" />
  <PageHelpDialog v-if="askedForHelp" v-model="help" />
  <FindDialog v-if="soughtOnce" v-model="finding" v-model:words="sought" />
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
.settings {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.settings > button,
.drawer,
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
.settings .finds {
  padding: 0 0.8rem;
  gap: 0.5rem;
  border-color: var(--ink);
  color: var(--ink);
}
.finds kbd {
  padding: 0 0.4rem;
  color: var(--ink-soft);
  background: var(--ground);
  border: 1px solid var(--line);
}
@media (max-width: 900px) {
  .finds kbd {
    display: none;
  }
  .top {
    gap: 0 1rem;
    padding: 0 0.75rem;
  }
  .along {
    order: 3;
    flex: 1 1 100%;
    gap: 0 1.1rem;
  }
}
.drawer {
  display: none;
}
@media (max-width: 600px) {
  .top {
    gap: 0 0.5rem;
  }
  .settings {
    gap: 0.25rem;
  }
  .settings button,
  .mark {
    min-width: 44px;
  }
  /* In the drawer: a phone's line has room for one row. */
  .seldom {
    display: none;
  }
  .along {
    display: none;
  }
  .drawer {
    align-self: center;
    display: inline-flex;
  }
}
@media print {
  .top,
  .skip {
    display: none;
  }
}
</style>
