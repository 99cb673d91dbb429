<script setup lang="ts">
import { ref } from 'vue'
import { Refusal, type Schemas } from '../../../api/client'
import { checkRecord } from '../../../api/files'
import { day } from '../../../shared/figures/days'

/** A record's file that came back: whether it is what this program wrote, and what stands here. */
const result = ref<Schemas['RecordCheckResponse'] | null>(null)
const complaint = ref('')
const busy = ref(false)
async function look(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  ;[result.value, complaint.value, busy.value] = [null, '', true]
  try {
    result.value = await checkRecord(file)
  } catch (caught) {
    complaint.value =
      caught instanceof Refusal ? caught.message : 'The server cannot be reached; try again when it is back.'
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="page narrow">
    <div class="page-head"><h1>Check a record</h1></div>
    <section class="plate p-4">
      <p>
        A record that was kept as a file carries a fingerprint. Choose the file: it is compared with its fingerprint and
        with what stands here.
      </p>
      <label for="record-file" class="form-label">The record’s file</label>
      <input id="record-file" type="file" accept=".json,application/json" class="form-control" @change="look" />
      <p v-if="busy" class="mt-3" role="status">Looking…</p>
      <p v-if="complaint" class="complaint mt-3" role="alert">{{ complaint }}</p>
      <div v-if="result" class="mt-3" role="status">
        <p class="verdict mb-1">{{ result.intact ? (result.saysTheSame ? '✓ ' : '') : '✗ ' }}{{ result.sentence }}</p>
        <p v-if="result.engine" class="mb-1">
          {{ result.engine }}<template v-if="result.date">, {{ day(result.date) }}</template>
        </p>
        <RouterLink v-if="result.known && result.visitId" :to="{ name: 'record', params: { id: result.visitId } }"
          >The record as it stands here</RouterLink
        >
      </div>
    </section>
  </main>
</template>

<style scoped>
.narrow {
  max-width: 760px;
}
</style>
