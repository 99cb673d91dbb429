<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { askToPersist, canTakeAlong, isAlmostFull, isPersistent, room } from '../../offline/tabletReady'
import { bytes } from '../../shared/figures/bytes'

/** How much room there is, and whether the browser promised to keep what is here. */
</script>

<template>
  <section class="plate p-3">
    <h2>Room</h2>
    <p v-if="room" class="mt-2 mb-1">
      <span class="figure">{{ bytes(room.used) }}</span> used of <span class="figure">{{ bytes(room.all) }}</span> that
      the browser gives.
      <strong v-if="isAlmostFull(room)">Almost full: leave engines behind, or free storage on the tablet.</strong>
    </p>
    <p v-if="isPersistent" class="mb-0">The browser has promised to keep it.</p>
    <template v-else-if="canTakeAlong">
      <p class="mb-2">
        The browser has not promised to keep it: it may clear this site when the tablet runs out of room. Installed as
        an application, it usually promises.
      </p>
      <BButton class="btn-plain" @click="askToPersist">Ask it again</BButton>
    </template>
  </section>
</template>
