<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import { useAddressed } from '../../../shared/address/useAddressed'
import Loaded from '../../../shared/loaded/Loaded.vue'
import AddDrawer from './AddDrawer.vue'
import DrawerStock from './DrawerStock.vue'
import DrawerTools from './DrawerTools.vue'
import JobsUnderWay from './JobsUnderWay.vue'
import SiteHold from './SiteHold.vue'

/** Loose shims of the fleet: which drawer holds what, what was done with them, and the jobs that wait for some. */
const drawers = useQuery(() => queries.shimDrawers())
const picked = useAddressed('drawer')
const drawer = computed(() => drawers.data.value?.find((d) => d.id === picked.value) ?? drawers.data.value?.[0])
</script>

<template>
  <Loaded v-slot="{ data }" :query="drawers" what="list of drawers">
    <main class="page">
      <div class="page-head">
        <div>
          <h1>Shims</h1>
          <p class="soft small mb-0 mt-1">
            A drawer holds what its ledger says: every shim that came in, went out, was lapped or counted, with who.
          </p>
        </div>
        <AddDrawer :none="data.length === 0" @added="picked = $event" />
      </div>
      <div class="board">
        <div class="col">
          <DrawerStock v-for="d in data" :key="d.id" :drawer="d" :picked="d.id === drawer?.id" @pick="picked = d.id" />
          <p v-if="!data.length" class="plate p-3 mb-0">
            No drawer yet. A drawer is a bought kit, a place in the stores, an old head, or somebody’s box. Add one,
            then count in what lies there.
          </p>
        </div>
        <div class="col">
          <JobsUnderWay />
          <SiteHold :usual="drawer?.site" />
          <DrawerTools v-if="drawer" :key="drawer.id" :drawer="drawer" :others="data" />
        </div>
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.9rem;
  align-items: start;
}
.col {
  display: grid;
  gap: 0.7rem;
}
@media (max-width: 900px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
