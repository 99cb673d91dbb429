<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { sendTypes } from '../../api/files'
import { makeStale } from '../../api/touched'
import { toast } from '../../shared/toasts/toasts'
import { plural } from '../../shared/words/counts'

/** Engine types from a sheet, one a line: shown first, put in the book only then. */
const emit = defineEmits<{ done: [] }>()
const client = useQueryClient()
const file = shallowRef<File | null>(null)
const report = shallowRef<Schemas['TypeSheetReport'] | null>(null)
const failure = ref<unknown>()
const busy = ref(false)
const fresh = computed(() => report.value?.lines.filter((l) => l.outcome === 'new').length ?? 0)
const words: Record<string, string> = { new: 'to be added', known: 'in the book already', refused: 'not taken' }

async function send(path: 'preview' | 'import') {
  if (!file.value) return
  busy.value = true
  failure.value = undefined
  try {
    const answer = await sendTypes(path, file.value)
    report.value = answer
    if (path === 'preview') return
    await makeStale(client, 'type')
    toast(`${plural(answer.added, 'type')} added to the book.`)
    emit('done')
  } catch (caught) {
    failure.value = caught
    report.value = null
  } finally {
    busy.value = false
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0] ?? null
  input.value = ''
  void send('preview')
}
</script>

<template>
  <section class="plate p-3 mb-3" aria-label="Types from a sheet">
    <h2>Types from a sheet</h2>
    <p class="small soft">
      XLSX or CSV, one type a line: code, name, firing order, intake and exhaust (0.20, or 0.15-0.25), source, book
      hours, book months; adjuster, pitch, valves along the head and the rest where they are not the usual.
    </p>
    <label class="btn btn-act">
      Choose a file…
      <input
        type="file"
        accept=".csv,.xlsx,.txt"
        class="visually-hidden"
        aria-label="Sheet of types"
        @change="choose"
      />
    </label>
    <span v-if="file" class="ms-2">{{ file.name }}</span>
    <p v-if="failure" class="complaint mt-2 mb-0" role="alert">{{ sentence(failure) }}</p>
    <template v-if="report">
      <p v-if="report.ignored.length" class="small soft mt-2 mb-0">Not used: {{ report.ignored.join(', ') }}.</p>
      <table class="table small my-2">
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Type</th>
            <th scope="col">Points</th>
            <th scope="col">Then</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in report.lines" :key="l.line">
            <td>{{ l.line }}</td>
            <td>
              <strong>{{ l.code }}</strong> {{ l.name }}
            </td>
            <td>{{ l.points || '' }}</td>
            <td>
              {{ words[l.outcome] }}<span v-if="l.sentence" class="d-block soft">{{ l.column }}: {{ l.sentence }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <BButton class="btn-act" :disabled="busy || fresh === 0" @click="send('import')"
        >Add {{ plural(fresh, 'type') }}</BButton
      >
    </template>
  </section>
</template>
