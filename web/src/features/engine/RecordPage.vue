<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answer, api, sentence, type Schemas } from '../../api/client'
import { day, hours, useFigures } from '../../app/figures'
import CorrectDialog from '../at-the-engine/CorrectDialog.vue'
import { readingText, stateWords } from '../at-the-engine/pointWords'
import VerdictMark from '../../instruments/VerdictMark.vue'

const props = defineProps<{ id: string }>()
const figures = useFigures()
const client = useQueryClient()
const { data, error } = useQuery({
  queryKey: ['record', () => props.id],
  queryFn: () => answer(api.GET('/api/overheads/{id}', { params: { path: { id: props.id } } })),
})
const correcting = ref(false)
const picked = ref<Schemas['OverheadPointView'] | null>(null)
const failure = ref<unknown>()
const trialText = (r: Schemas['ReadingView'] | null | undefined) =>
  r?.trials.length
    ? r.trials
        .map(
          (t) =>
            `${(t.blades ?? []).join('+')} ${{ free: 'free', drag: 'drag', heavyDrag: 'forced', noGo: 'no go' }[t.feel ?? 'free']}`,
        )
        .join(', ')
    : r?.written
      ? `written ${r.written} ${r.unit}`
      : ''
const measured = computed(() => data.value?.points.filter((p) => p.found || p.left) ?? [])
async function say(what: Schemas['VisitAnswer']) {
  try {
    await answer(api.PUT('/api/overheads/{id}/answer', { params: { path: { id: props.id } }, body: { answer: what } }))
    await client.invalidateQueries()
  } catch (caught) {
    failure.value = caught
  }
}
function correct(point: Schemas['OverheadPointView']) {
  picked.value = point
  correcting.value = true
}
</script>

<template>
  <main class="page">
    <p v-if="error" class="complaint">{{ sentence(error) }}</p>
    <template v-if="data">
      <div class="page-head">
        <div>
          <h1>{{ data.engineName }}, {{ day(data.date, true) }}</h1>
          <p class="soft small mb-0 mt-1">
            {{
              { overhead: 'Overhead', spotCheck: 'Spot check', receivingCheck: 'Receiving check', build: 'Build' }[
                data.job
              ]
            }}
            at {{ hours(data.shownHours) }} h · {{ data.condition
            }}<template v-if="data.engineTemperatureC != null">, {{ data.engineTemperatureC }} °C</template> · judged by
            rev. {{ data.specRevision }}, {{ data.specSource }} · {{ data.blades ?? data.measuringMethod }} ·
            <template v-if="data.signedAt">signed by {{ data.signedBy }}, {{ day(data.signedAt, true) }}</template
            ><template v-else>not signed yet</template>
          </p>
          <p v-if="data.remark" class="mb-0 mt-1">{{ data.remark }}</p>
        </div>
        <RouterLink class="btn btn-plain" :to="{ name: 'engine', params: { id: data.engineId } }"
          >The engine</RouterLink
        >
      </div>
      <section v-if="data.signedAt" class="plate p-3 mb-3 d-flex gap-2 align-items-center flex-wrap">
        <strong>Does this visit count for the trend?</strong>
        <BButton
          v-for="a in [
            ['counts', 'It counts'],
            ['warm', 'It was warm'],
            ['otherBlades', 'Other blades'],
          ] as const"
          :key="a[0]"
          :class="data.answer === a[0] ? 'btn-act' : 'btn-plain'"
          :aria-pressed="data.answer === a[0]"
          @click="say(a[0])"
          >{{ a[1] }}</BButton
        >
        <span class="soft small">{{
          data.answer === 'counts' ? '' : 'Left out of the rates; the record keeps it.'
        }}</span>
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
            <tr v-for="p in measured" :key="p.id">
              <td>
                <strong>{{ p.label }}</strong>
              </td>
              <td class="figure soft" :title="p.specWritten ?? ''">
                {{ figures.figure(p.minMm) }} – {{ figures.figure(p.maxMm) }}
              </td>
              <td class="figure" :class="`is-${p.found?.state}`">
                <VerdictMark :state="p.found?.state" :size="15" /> {{ readingText(p.found, figures.figure, true) }}
                <span v-if="p.found?.state && p.found.state !== 'inWindow'" class="small">{{
                  stateWords[p.found.state]
                }}</span>
              </td>
              <td class="figure">
                {{ p.left ? readingText(p.left, figures.figure, true) : p.leftAlone ? 'left alone' : '—' }}
              </td>
              <td class="soft small">{{ [trialText(p.found), trialText(p.left)].filter(Boolean).join('; then ') }}</td>
              <td>{{ (p.left ?? p.found)?.who }}</td>
              <td class="soft small">
                {{ [p.left?.why, p.found?.remark].filter(Boolean).join('; ') }}
                <template v-for="c in p.corrected" :key="c.id"
                  ><br />before: {{ readingText(c, figures.figure, true) }} by {{ c.who }}, corrected{{
                    p.found?.corrects === c.id ? `: ${p.found.why}` : p.left?.corrects === c.id ? `: ${p.left.why}` : ''
                  }}</template
                >
              </td>
              <td>
                <button
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
      <CorrectDialog v-model="correcting" :view="data" :point="picked" @corrected="client.invalidateQueries()" />
    </template>
  </main>
</template>
