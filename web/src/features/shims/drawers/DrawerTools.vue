<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import { useAddressed } from '../../../shared/address/useAddressed'
import CountDrawer from './CountDrawer.vue'
import DrawerLedger from './DrawerLedger.vue'
import MoveShims from './MoveShims.vue'

/** What can be done with a drawer: shims in and out, a count, its ledger. */
defineProps<{ drawer: Schemas['DrawerResponse']; others: Schemas['DrawerResponse'][] }>()
const tab = useAddressed('do', 'move')
const tabs = [
  ['move', 'In, out, lapped…'],
  ['count', 'Count it'],
  ['ledger', 'Ledger'],
] as const
</script>

<template>
  <section class="plate p-3" :aria-label="`${drawer.name}: what is done`">
    <div class="ends flex-wrap mb-2">
      <h2>{{ drawer.name }}</h2>
      <span class="d-flex gap-1 flex-wrap">
        <button
          v-for="[key, text] in tabs"
          :key="key"
          type="button"
          class="btn btn-plain"
          :class="{ on: tab === key }"
          :aria-pressed="tab === key"
          @click="tab = key"
        >
          {{ text }}
        </button>
      </span>
    </div>
    <MoveShims v-if="tab === 'move'" :drawer="drawer" :others="others" />
    <CountDrawer v-else-if="tab === 'count'" :drawer="drawer" />
    <DrawerLedger v-else :drawer="drawer" />
  </section>
</template>

<style scoped>
.on {
  background: var(--blue-wash);
  border-color: var(--blue);
}
</style>
