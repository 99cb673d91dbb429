<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { goneSince } from '../api/reach'
import { refused, unwritten, waiting } from '../offline/outbox'
import { sendNow } from '../offline/sender'
import type { OutboxRow } from '../offline/store'
import { isAlmostFull, room } from '../offline/tabletReady'
import { clock, moment } from '../shared/figures/days'
import { form, plural } from '../shared/words/counts'
import { newerVersion, takeUpdate } from './updates'

/** Over every page: that the server is gone and since when, and what of this tablet waits to be sent. It clears by itself. */
const client = useQueryClient()
const route = useRoute()
const since = computed(() => (goneSince.value === null ? '' : moment(new Date(goneSince.value).toISOString())))
/** Where figures go in, a doubted one is asked about beside its field: that is no news over the page. */
const isAskedHere = (row: OutboxRow) =>
  row.refused?.code === 'figureDoubtful' && route.meta.asksDoubts && route.params.id === row.visitId
const refusals = computed(() => refused.value.filter((row) => !isAskedHere(row)).length)
const now = ref(Date.now())
useIntervalFn(() => (now.value = Date.now()), 1_000)
/** An entry on its way is no news; one that has waited a moment is, and all of them where nobody answers. */
const waits = computed(() =>
  goneSince.value !== null
    ? waiting.value
    : waiting.value.filter((row) => now.value - Date.parse(row.entry.at) > 5_000),
)
const first = computed(() => (waits.value[0] ? clock(waits.value[0].entry.at) : ''))

/** A look every two seconds while it is gone, and every ten while nothing else asks. */
async function ask() {
  if (document.hidden) return
  try {
    const answer = await fetch('/health', { cache: 'no-store', signal: AbortSignal.timeout(5_000) })
    if (answer.ok) goneSince.value = null
  } catch {
    goneSince.value ??= Date.now()
  }
}
useIntervalFn(
  ask,
  computed(() => (goneSince.value === null ? 10_000 : 2_000)),
)
watch(goneSince, (gone, before) => {
  if (gone !== null || before === null) return
  void client.invalidateQueries()
  sendNow()
})
</script>

<template>
  <div v-if="unwritten.length" class="waits" role="alert">
    <strong
      >{{ plural(unwritten.length, 'entry', 'entries') }} cannot be written on this tablet: its storage is full.</strong
    >
    Keep this page open; {{ form(unwritten.length, 'it is', 'they are') }} sent as soon as the server is there. Make
    room under <RouterLink to="/this-tablet">This tablet</RouterLink>.
  </div>
  <div v-else-if="isAlmostFull(room)" class="waits" role="status">
    The storage of this tablet is almost full. <RouterLink to="/this-tablet">Make room</RouterLink> before the next
    visit.
  </div>
  <div v-if="goneSince !== null || waits.length || refusals" class="waits" role="status">
    <template v-if="goneSince !== null">
      <strong>The server cannot be reached since {{ since }}.</strong>
      It is asked again by itself.
    </template>
    <span v-if="waits.length" class="ms-1">
      <strong
        >{{ plural(waits.length, 'entry', 'entries') }} {{ form(waits.length, 'waits', 'wait') }} to be sent</strong
      >, since {{ first }}.
    </span>
    <span v-if="refusals" class="ms-1">{{ plural(refusals, 'entry was', 'entries were') }} refused.</span>
    <RouterLink v-if="(waits.length || refusals) && route.name !== 'this-tablet'" class="ms-1" to="/this-tablet"
      >Show {{ form(waits.length + refusals, 'it', 'them') }}</RouterLink
    >
  </div>
  <!-- In the middle of a visit nothing else is asked. -->
  <div v-if="newerVersion && !route.meta.bare" class="newer" role="status">
    A newer version of the application is here.
    <button type="button" class="text-link" @click="takeUpdate">Use it now</button>, or go on: it is used once every
    page is closed.
  </div>
</template>

<style scoped>
.waits {
  padding: 0.5rem 1.25rem;
  background: var(--shade);
  border-bottom: 1.5px solid var(--ink);
  border-left: 8px solid var(--ink);
}
.newer {
  padding: 0.5rem 1.25rem;
  background: var(--blue-wash);
  border-bottom: 1.5px solid var(--blue);
}
@media print {
  .newer,
  .waits {
    display: none;
  }
}
</style>
