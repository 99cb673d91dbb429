<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { group } from 'd3-array'
import { computed } from 'vue'
import { outbox, waiting } from '../../offline/outbox'
import { sendNow } from '../../offline/sender'
import { plural } from '../../shared/words/counts'
import { saveWaiting } from './saveWaiting'
import WaitingVisit from './WaitingVisit.vue'

/** What waits to be sent, visit by visit, and what was refused. */
const visits = computed(() => [...group(outbox.value, (row) => row.visitId)])
</script>

<template>
  <section class="plate p-3" aria-label="Waits to be sent">
    <h2>Waits to be sent</h2>
    <p v-if="!visits.length" class="mt-2 mb-0">Nothing waits: all that was measured here is with the server.</p>
    <template v-else>
      <WaitingVisit v-for="[id, rows] in visits" :key="id" :visit-id="id" :rows="rows" />
      <div class="d-flex gap-2 flex-wrap mt-2">
        <BButton v-if="waiting.length" class="btn-act" @click="sendNow"
          >Send {{ plural(waiting.length, 'entry', 'entries') }} now</BButton
        >
        <BButton class="btn-plain" @click="saveWaiting">Save as a file</BButton>
      </div>
    </template>
  </section>
</template>
