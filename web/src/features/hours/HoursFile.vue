<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { sendHours } from '../../api/files'
import { makeStale } from '../../api/touched'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { toast } from '../../shared/toasts/toasts'
import { plural } from '../../shared/words/counts'

/** A file of hours, in whatever form: what it says is shown first, and taken only then. */
defineProps<{ engines: Schemas['RoundLine'][] }>()
const client = useQueryClient()
const file = shallowRef<File | null>(null)
const report = shallowRef<Schemas['HoursReport'] | null>(null)
const engineId = ref('')
const failure = ref<unknown>()
const busy = ref(false)
const words: Record<string, string> = { taken: 'fits', known: 'known', waiting: 'to be decided' }

async function send(path: 'preview' | 'import') {
  if (!file.value) return
  busy.value = true
  failure.value = undefined
  try {
    const answer = await sendHours(path, file.value, { engineId: engineId.value })
    report.value = path === 'preview' ? answer : null
    if (path === 'preview') return
    file.value = null
    await makeStale(client, 'meter')
    toast(`${plural(answer.taken, 'figure')} taken${answer.waiting ? `, ${answer.waiting} to be decided` : ''}.`)
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
  <section class="plate p-3 mb-3" aria-label="From a file">
    <h2>From a file</h2>
    <p class="small soft">
      A table (CSV or XLSX: engine, date, hours), a telematics document (XML or JSON), or a log of a machine’s bus
      (candump). Shown first, taken after.
    </p>
    <label class="btn btn-act">
      Choose a file…
      <input
        type="file"
        accept=".csv,.xlsx,.xml,.json,.log,.txt"
        class="visually-hidden"
        aria-label="Hours file"
        @change="choose"
      />
    </label>
    <span v-if="file" class="ms-2">{{ file.name }}</span>
    <p v-if="failure" class="complaint mt-2 mb-0" role="alert">{{ sentence(failure) }}</p>
    <template v-if="report">
      <p class="mt-2 mb-1">
        <strong
          >{{ plural(report.taken, 'figure') }} to take, {{ report.known }} known, {{ report.waiting }} to be
          decided.</strong
        >
      </p>
      <div v-if="report.form === 'can'" class="mb-2">
        <label for="bus-engine" class="form-label">Whose bus is it?</label>
        <BFormSelect id="bus-engine" v-model="engineId" @update:model-value="send('preview')">
          <option value="">as it calls itself</option>
          <option v-for="e in engines" :key="e.engineId" :value="e.engineId">{{ e.engine }}</option>
        </BFormSelect>
      </div>
      <table class="table small mb-2">
        <thead>
          <tr>
            <th scope="col">Machine</th>
            <th scope="col">Day</th>
            <th scope="col" class="text-end">Shows</th>
            <th scope="col">Then</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in report.figures.slice(0, 40)" :key="i">
            <td>{{ r.engine ?? r.machine }}</td>
            <td class="text-nowrap">{{ day(r.date) }}</td>
            <td class="text-end figure">{{ r.hours == null ? '—' : hours(r.hours) }}</td>
            <td>
              {{ words[r.outcome] }}<span v-if="r.sentence" class="d-block soft">{{ r.sentence }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <BButton class="btn-act" :disabled="busy || report.taken + report.waiting === 0" @click="send('import')"
        >Take it</BButton
      >
    </template>
  </section>
</template>
