<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import Loaded from '../../shared/loaded/Loaded.vue'
import { counted, form } from '../../shared/words/counts'
import FeedForm from './FeedForm.vue'
import HoursFile from './HoursFile.vue'
import RoundForm from './RoundForm.vue'
import WaitingFigure from './WaitingFigure.vue'

/** Hours in: the morning's round, files, a feed; and what came in and cannot be right, until somebody decides. */
const round = useQuery(() => queries.round())
const waiting = useQuery(() => queries.waitingHours())
const head = computed(() => {
  const count = waiting.data.value?.length ?? 0
  return count
    ? `${counted(count)} ${form(count, 'figure waits', 'figures wait')} to be decided.`
    : 'Every figure that came in is in its meter.'
})
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Hours</h1>
        <p class="soft mb-0 mt-1">{{ head }}</p>
      </div>
    </div>
    <section v-if="waiting.data.value?.length" class="plate plate-strong p-3 mb-3" aria-label="To be decided">
      <h2>To be decided</h2>
      <p class="small soft">These cannot be right as they came. None is believed, none is thrown away.</p>
      <WaitingFigure v-for="w in waiting.data.value" :key="w.id" :figure="w" :engines="round.data.value ?? []" />
    </section>
    <div class="board">
      <Loaded v-slot="{ data }" part :query="round" what="round"><RoundForm :lines="data" /></Loaded>
      <div>
        <HoursFile :engines="round.data.value ?? []" />
        <FeedForm />
      </div>
    </div>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 14px;
  align-items: start;
}
@media (max-width: 900px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
