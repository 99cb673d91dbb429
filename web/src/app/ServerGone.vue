<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useIntervalFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import { goneSince } from '../api/reach'
import { waiting } from '../offline/outbox'
import { moment } from '../shared/figures/days'
import { plural } from '../shared/words/counts'

/** What is on the screen while the server is gone, how old it is, and what waits to be sent. It comes back by itself. */
const client = useQueryClient()
const since = computed(() => (goneSince.value === null ? '' : moment(new Date(goneSince.value).toISOString())))
/** A look every two seconds while it is gone, and every ten while nothing else asks. */
async function ask() {
  if (document.hidden) return
  try {
    const answer = await fetch('/health', { cache: 'no-store' })
    if (answer.ok) goneSince.value = null
  } catch {
    goneSince.value ??= Date.now()
  }
}
useIntervalFn(
  ask,
  computed(() => (goneSince.value === null ? 10_000 : 2_000)),
)
watch(goneSince, (now, before) => {
  if (now === null && before !== null) void client.invalidateQueries()
})
</script>

<template>
  <div v-if="goneSince !== null" class="gone" role="status">
    <strong>The server cannot be reached since {{ since }}.</strong>
    What you see is from then; it comes up to date by itself.
    <template v-if="waiting.length"
      >{{ plural(waiting.length, 'entry', 'entries') }} saved on this machine, to be sent.</template
    >
  </div>
</template>

<style scoped>
.gone {
  padding: 0.5rem 1.25rem;
  background: var(--tight-wash);
  border-bottom: 1.5px solid var(--tight);
}
</style>
