<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import Loaded from '../../shared/loaded/Loaded.vue'
import FleetForm from './FleetForm.vue'
import InstrumentList from './InstrumentList.vue'
import PeopleList from './PeopleList.vue'
import SiteList from './SiteList.vue'
import ThisMachine from './ThisMachine.vue'

const fleet = useQuery(() => queries.fleet())
</script>

<template>
  <main class="page">
    <div class="page-head"><h1>Settings</h1></div>
    <div class="board">
      <Loaded v-slot="{ data }" part :query="fleet" what="fleet"><FleetForm :fleet="data" /></Loaded>
      <ThisMachine />
      <PeopleList />
      <SiteList />
      <InstrumentList />
    </div>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 14px;
  align-items: start;
}
</style>
