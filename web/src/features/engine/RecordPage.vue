<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api, Refusal, sentence } from '../../api/client'
import PersonPick from '../../app/PersonPick.vue'
import { usePreferences } from '../../app/preferences'
import { sendNow } from '../../offline/exchange'
import { day, hours, useFigures } from '../../app/figures'
import CorrectDialog from '../at-the-engine/CorrectDialog.vue'
import { readingText, stateWords } from '../at-the-engine/pointWords'
import type { Point, Reading } from '../at-the-engine/useVisit'
import RecordEntries from './RecordEntries.vue'
import VerdictMark from '../../instruments/VerdictMark.vue'

const props = defineProps<{ id: string }>()
const figures = useFigures()
const preferences = usePreferences()
const client = useQueryClient()
const { data, error } = useQuery({
  queryKey: ['record', () => props.id],
  queryFn: () => answer(api.GET('/api/visits/{visitId}', { params: { path: { visitId: props.id } } })),
})
const people = useQuery({
  queryKey: ['people', 'all'],
  queryFn: () => answer(api.GET('/api/people', { params: { query: { archived: true } } })),
})
const name = (by?: string | null) => people.data.value?.find((p) => p.id === by)?.name ?? ''
const sheet = computed(() => data.value?.sheet)
const correcting = ref(false)
const picked = ref<Point | null>(null)
const failure = ref<unknown>()
const trialText = (r: Reading | null | undefined) =>
  r?.tries.length
    ? r.tries
        .map(
          (t) => `${t.blades.join('+')} ${{ free: 'free', drag: 'drag', heavyDrag: 'forced', noGo: 'no go' }[t.feel]}`,
        )
        .join(', ')
    : r?.written
      ? `written ${r.written} ${r.unit}`
      : ''
const left = (p: Point) => {
  if (p.left) return readingText(p.left, figures.figure, true)
  if (p.outcome === 'leftAlone') return 'left alone'
  if (p.outcome === 'leftSo') return 'left so'
  if (p.outcome === 'byTheBook') return 'set by the book'
  if (p.outcome === 'awaiting') return 'waits for a part'
  if (p.outcome === 'notReached') return 'not reached'
  return '—'
}
const measured = computed(() => sheet.value?.points.filter((p) => p.found || p.left || p.outcome) ?? [])
const counts = computed(() => (sheet.value?.outOfTrend ? (sheet.value.outOfTrendBecause ?? 'warm') : 'counts'))
async function say(what: 'counts' | 'warm' | 'otherBlades') {
  failure.value = undefined
  if (!preferences.person) {
    failure.value = new Refusal('Choose who says so.', 400, {}, {})
    return
  }
  try {
    await sendNow(
      props.id,
      [
        { kind: 'answered', question: 'warm', answer: what === 'warm' ? 'yes' : 'no' },
        { kind: 'answered', question: 'otherBlades', answer: what === 'otherBlades' ? 'yes' : 'no' },
      ],
      preferences.person,
    )
    await client.invalidateQueries()
  } catch (caught) {
    failure.value = caught
  }
}
function correct(point: Point) {
  picked.value = point
  correcting.value = true
}
</script>

<template>
  <main class="page">
    <p v-if="error" class="complaint">{{ sentence(error) }}</p>
    <template v-if="data && sheet">
      <div class="page-head">
        <div>
          <h1>{{ data.context?.engine.name }}, {{ day(data.date, true) }}</h1>
          <p class="soft small mb-0 mt-1">
            {{
              { overhead: 'Overhead', spotCheck: 'Spot check', receivingCheck: 'Receiving check', build: 'Build' }[
                data.job
              ]
            }}
            <template v-if="sheet.shownHours != null"
              >at {{ hours(sheet.shownHours) }} h on the meter<template
                v-if="sheet.totalHours != null && Math.abs(sheet.totalHours - sheet.shownHours) > 0.5"
                >, {{ hours(sheet.totalHours) }} h in all</template
              ></template
            >
            · {{ sheet.condition
            }}<template v-if="sheet.engineTemperatureC != null">, {{ sheet.engineTemperatureC }} °C</template
            ><template v-if="sheet.specRevision">
              · judged by rev. {{ sheet.specRevision }}, {{ sheet.specSource }}</template
            >
            <template v-if="sheet.traySet"> · {{ sheet.traySet }}</template> ·
            <template v-if="data.signed">signed by {{ name(data.signed.by) }}, {{ day(data.signed.at, true) }}</template
            ><template v-else-if="data.state === 'abandoned'">given up, no record</template
            ><template v-else>not signed yet</template>
          </p>
          <p class="soft small mb-0 mt-1">
            {{ data.context?.type.code }}, {{ data.context?.engine.machineName
            }}<template v-if="data.context?.engine.registration"> ({{ data.context.engine.registration }})</template
            ><template v-if="data.context?.engine.serialNumber">
              · serial {{ data.context.engine.serialNumber }}</template
            ><template v-if="data.context?.engine.rating"> · {{ data.context.engine.rating }}</template>
          </p>
          <p v-if="data.signed?.remark" class="mb-0 mt-1">{{ data.signed.remark }}</p>
        </div>
        <RouterLink class="btn btn-plain" :to="{ name: 'engine', params: { id: data.engineId } }"
          >The engine</RouterLink
        >
      </div>
      <section v-if="data.signed" class="plate p-3 mb-3 d-flex gap-2 align-items-center flex-wrap">
        <strong>Does this visit count for the trend?</strong>
        <PersonPick v-model="preferences.person" label="Who says so" />
        <BButton
          v-for="a in [
            ['counts', 'It counts'],
            ['warm', 'It was warm'],
            ['otherBlades', 'Other blades'],
          ] as const"
          :key="a[0]"
          :class="counts === a[0] ? 'btn-act' : 'btn-plain'"
          :aria-pressed="counts === a[0]"
          @click="say(a[0])"
          >{{ a[1] }}</BButton
        >
        <span class="soft small">{{ counts === 'counts' ? '' : 'Left out of the rates; the record keeps it.' }}</span>
        <span v-if="failure" class="complaint">{{ sentence(failure) }}</span>
      </section>
      <section class="plate p-2 table-responsive">
        <table class="ledger">
          <thead class="caps">
            <tr>
              <th>Point</th>
              <th>Book, {{ figures.unit }}</th>
              <th>Found</th>
              <th>Left</th>
              <th>How measured</th>
              <th>Who</th>
              <th>Note</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in measured" :key="p.label">
              <td>
                <strong>{{ p.label }}</strong>
              </td>
              <td class="figure soft" :title="p.specWritten ?? ''">
                <template v-if="p.minMm != null">{{ figures.figure(p.minMm) }} – {{ figures.figure(p.maxMm) }}</template
                ><template v-else>{{ p.specWritten ?? 'not judged' }}</template>
              </td>
              <td class="figure" :class="`is-${p.found?.state}`">
                <VerdictMark :state="p.found?.state" :size="15" /> {{ readingText(p.found, figures.figure, true) }}
                <span v-if="p.found?.state && p.found.state !== 'inWindow'" class="small">{{
                  stateWords[p.found.state]
                }}</span>
              </td>
              <td class="figure">
                {{ left(p) }}
              </td>
              <td class="soft small">{{ [trialText(p.found), trialText(p.left)].filter(Boolean).join('; then ') }}</td>
              <td>{{ name((p.left ?? p.found)?.by) }}</td>
              <td class="soft small">
                {{
                  [p.why, p.found?.unproved || p.left?.unproved ? 'position not proved' : ''].filter(Boolean).join('; ')
                }}
                <template v-for="c in p.corrected" :key="c.before.id"
                  ><br />before: {{ readingText(c.before, figures.figure, true) }} by {{ name(c.before.by) }}, corrected
                  by {{ name(c.by) }}: {{ c.why }}</template
                >
              </td>
              <td>
                <button
                  v-if="data.signed && (p.found || p.left)"
                  type="button"
                  class="btn btn-plain btn-sm"
                  :aria-label="`Correct ${p.label}`"
                  @click="correct(p)"
                >
                  Correct
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="data.late.length || data.refused.length" class="plate p-3 mt-3">
        <p v-if="data.late.length" class="mb-1">
          <strong>{{ data.late.length }} came in after signing</strong> and count for nothing until they are admitted.
        </p>
        <p v-for="r in data.refused" :key="r.id" class="mb-1 small">
          Refused: {{ r.kind }} by {{ name(r.by) || 'nobody known' }}. {{ r.sentence }}
        </p>
      </section>
      <RecordEntries :id="id" class="mt-3" :name="name" :late="data.late" />
      <CorrectDialog
        v-model="correcting"
        :visit-id="id"
        :signed="!!data.signed"
        :unit="sheet.trayUnit"
        :point="picked"
        @corrected="client.invalidateQueries()"
      />
    </template>
  </main>
</template>
