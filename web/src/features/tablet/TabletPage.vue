<script setup lang="ts">
import { onMounted } from 'vue'
import { canTakeAlong, lookAtRoom } from '../../offline/tabletReady'
import ForgetTablet from './ForgetTablet.vue'
import TabletRoom from './TabletRoom.vue'
import TakeAlong from './TakeAlong.vue'
import TakenList from './TakenList.vue'
import WaitingList from './WaitingList.vue'

/** What this tablet holds for the road: what waits to be sent, which engines are taken along, how much room is left. */
onMounted(() => void lookAtRoom())
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>This tablet</h1>
        <p class="soft mb-0 mt-1">What it holds for a bilge, a quarry, a field: anywhere without the server.</p>
      </div>
      <RouterLink class="btn btn-plain" to="/install">Put it on another tablet</RouterLink>
    </div>
    <WaitingList class="mb-3" />
    <section v-if="!canTakeAlong" class="plate p-3 mb-3" role="note">
      <h2>Nothing can be downloaded from this address</h2>
      <p class="mb-0 mt-2">
        A browser keeps pages for the road only over HTTPS, or on the depot’s own machine. Ask whoever runs the server
        to start it with <span class="figure">--https</span>, then
        <RouterLink to="/install">install its certificate</RouterLink> on this tablet. What you measure here is written
        down on this tablet all the same and sent when the server answers.
      </p>
    </section>
    <div v-else class="two-columns row-gap-3">
      <TakenList />
      <TakeAlong />
    </div>
    <div class="two-columns row-gap-3 mt-3">
      <TabletRoom />
      <ForgetTablet />
    </div>
  </main>
</template>
