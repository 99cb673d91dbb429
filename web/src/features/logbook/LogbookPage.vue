<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef } from 'vue'
import { Refusal, sentence, type Schemas } from '../../api/client'
import { sendLogbook } from '../../api/files'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import { toast } from '../../shared/toasts/toasts'
import { plural } from '../../shared/words/counts'
import firstSample from '../../../../samples/first-logbook.csv?url'
import BadRows from './BadRows.vue'
import FirstRows from './FirstRows.vue'
import MissingEngines from './MissingEngines.vue'

const client = useQueryClient()
const types = useQuery(() => queries.types())
const file = shallowRef<File | null>(null)
const report = shallowRef<Schemas['LogbookReport'] | null>(null)
const failure = ref<unknown>()
const working = ref('')
/** Whose E it is, once somebody said. */
const letters = ref<Schemas['BookLetters'] | undefined>()
const columns = 'engine, date, engine hours, cylinder, valve, as found, as left, unit, who, remark'

async function send(path: 'preview' | 'import', doing: string, goodOnly = false) {
  if (!file.value) return
  working.value = doing
  failure.value = undefined
  try {
    report.value = await sendLogbook(path, file.value, { goodOnly, letters: letters.value })
    if (!report.value.saved) return
    await client.invalidateQueries()
    toast(`${plural(report.value.newReadings, 'reading')} brought in.`)
  } catch (caught) {
    failure.value = caught
    if (caught instanceof Refusal && path === 'preview') report.value = null
  } finally {
    working.value = ''
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0] ?? null
  // The same file, mended, may be chosen again.
  input.value = ''
  report.value = null
  letters.value = undefined
  void send('preview', 'Reading the file…')
}
function says(which: Schemas['BookLetters']) {
  letters.value = which
  void send('preview', 'Reading the file again…')
}
const understood = computed(() => {
  const r = report.value
  if (!r) return ''
  const there = r.alreadyThere ? `; ${plural(r.alreadyThere, 'row')} already there` : ''
  const unused = r.ignoredColumns.length ? `; columns not used: ${r.ignoredColumns.join(', ')}` : ''
  return `${plural(r.rows, 'row')}, ${r.separator} separated, decimal ${r.decimal}${there}${unused}.`
})
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Logbook</h1>
        <p class="soft small mb-0 mt-1">old records in, all records out: a CSV file or a workbook, one reading a row</p>
      </div>
      <BButton class="btn-plain" href="/api/logbook/export" download="logbook.csv">
        Export the whole fleet’s logbook
      </BButton>
    </div>
    <section class="plate p-3 mb-3">
      <h2>Import a logbook</h2>
      <p class="small mt-1 mb-2">
        The first line names the columns: {{ columns }}. Commas or semicolons, decimal point or comma, mm or thou. A
        figure may be written 0.31, or 0.30-0.35 (between two blades), or &lt;0.05 (no blade goes). Hours are total
        engine hours. Nothing is saved until you say so. An engine the yard does not have yet is offered to be made.
        <a :href="firstSample" download="first-logbook.csv">A small sample to try</a>: an inline four, two overheads.
      </p>
      <label class="btn btn-act">
        Choose a file…
        <input
          type="file"
          accept=".csv,.xlsx,text/csv,text/plain"
          class="visually-hidden"
          aria-label="Logbook file"
          @change="choose"
        />
      </label>
      <span v-if="file" class="ms-2">{{ file.name }}</span>
      <span v-if="working" class="ms-2" role="status">{{ working }}</span>
      <p v-if="failure" class="complaint mt-2 mb-0" role="alert">{{ sentence(failure) }}</p>
    </section>
    <template v-if="report">
      <section class="plate plate-strong p-3 mb-3">
        <h2 v-if="report.saved">
          Brought in: {{ plural(report.newReadings, 'reading') }} in {{ plural(report.newVisits, 'new visit') }}.
        </h2>
        <h2 v-else-if="report.newReadings === 0 && report.badRows.length === 0">
          Everything in this file is already there. Nothing to add.
        </h2>
        <h2 v-else>
          Understood: {{ plural(report.newReadings, 'new reading') }} in {{ plural(report.newVisits, 'visit') }}.
        </h2>
        <p class="small soft mb-2">
          {{ understood }}
        </p>
        <ul v-if="report.engines.length" class="mb-2">
          <li v-for="e in report.engines" :key="e.engine">
            <strong>{{ e.engine }}:</strong> {{ plural(e.rows, 'row') }} of {{ plural(e.visits, 'visit') }},
            {{ day(e.first) }} to
            {{ day(e.last) }}
          </li>
        </ul>
        <template v-if="!report.saved && report.newReadings > 0">
          <BButton
            v-if="report.badRows.length === 0"
            class="btn-act"
            :disabled="!!working"
            @click="send('import', 'Bringing it in…')"
          >
            Import {{ plural(report.newReadings, 'reading') }}
          </BButton>
          <BButton
            v-else
            class="btn-act"
            :disabled="!!working"
            @click="send('import', 'Bringing in the good rows…', true)"
          >
            Import the good rows only: {{ plural(report.newReadings, 'reading') }}
          </BButton>
        </template>
      </section>
      <section
        v-if="report.asksLetters && !report.saved"
        class="plate plate-strong p-3 mb-3"
        role="group"
        aria-label="Whose E"
      >
        <p class="mb-2">
          <strong>An E of this file could be the exhaust or the intake.</strong> Its engine’s own book writes E for the
          intake (Einlass) and A for the exhaust. Which letters does this file use? Nothing is stored before that.
        </p>
        <BButton class="btn-plain me-2" @click="says('einlassAuslass')">E intake, A exhaust</BButton>
        <BButton class="btn-plain" @click="says('intakeExhaust')">I intake, E exhaust</BButton>
      </section>
      <MissingEngines
        v-if="report.missingEngines.length && !report.saved"
        :engines="report.missingEngines"
        :types="types.data.value?.length ?? 0"
        @made="send('preview', 'Reading the file again…')"
      />
      <BadRows v-if="report.badRows.length" :rows="report.badRows" />
      <FirstRows v-if="report.firstRows.length && !report.saved" :rows="report.firstRows" />
    </template>
  </main>
</template>
