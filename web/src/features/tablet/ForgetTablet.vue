<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, ref } from 'vue'
import { forgetEverything } from '../../offline/forget'
import { unwritten, waiting } from '../../offline/outbox'
import { sendNow } from '../../offline/sender'
import { form, plural } from '../../shared/words/counts'
import { saveWaiting } from './saveWaiting'

/** For a lent tablet: wipes what was taken along, after what waits has been sent. */
const asking = ref(false)
const forgetting = ref(false)
const waits = computed(() => waiting.value.length + unwritten.value.length)
function ask() {
  sendNow()
  asking.value = true
}
async function forget() {
  forgetting.value = true
  await forgetEverything()
  location.assign('/')
}
</script>

<template>
  <section class="plate p-3">
    <h2>Forget everything</h2>
    <p class="mt-2">
      For a tablet that is lent, sold or given back: engines, book, names and this application leave it. The server
      keeps its records.
    </p>
    <BButton class="btn-plain" @click="ask">Forget everything on this tablet…</BButton>
    <BModal v-model="asking" title="Forget everything on this tablet?" no-footer>
      <template v-if="waits">
        <p>
          <strong>{{ plural(waits, 'entry', 'entries') }} {{ form(waits, 'has', 'have') }} not been sent.</strong>
          {{ form(waits, 'It goes', 'They go') }} to the server first; without the server, save
          {{ form(waits, 'it', 'them') }} as a file.
        </p>
        <div class="d-flex gap-2 flex-wrap">
          <BButton class="btn-act" @click="sendNow">Send now</BButton>
          <BButton class="btn-plain" @click="saveWaiting">Save as a file</BButton>
        </div>
      </template>
      <template v-else>
        <p>All that was measured here has been sent.</p>
        <div class="d-flex gap-2 flex-wrap">
          <BButton class="btn-act" :disabled="forgetting" @click="forget">
            {{ forgetting ? 'Forgetting…' : 'Forget everything' }}
          </BButton>
          <BButton class="btn-plain" :disabled="forgetting" @click="asking = false">Cancel</BButton>
        </div>
      </template>
    </BModal>
  </section>
</template>
