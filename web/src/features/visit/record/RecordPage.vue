<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { queries } from '../../../api/queries'
import { photoUrl } from '../../../offline/photos'
import { recordOf } from '../../../offline/record'
import { useTitle } from '../../../shared/address/useTitle'
import { day } from '../../../shared/figures/days'
import MarksMean from './MarksMean.vue'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { verdictWords } from '../../../shared/words/verdicts'
import type { Point } from '../bench/useVisit'
import CorrectDialog from './CorrectDialog.vue'
import CountersignDialog from './CountersignDialog.vue'
import LateEntries from './LateEntries.vue'
import RecordEntries from './RecordEntries.vue'
import RecordHead from './RecordHead.vue'
import RecordMore from './RecordMore.vue'
import RecordTable from './RecordTable.vue'
import TrendAnswer from './TrendAnswer.vue'

const props = defineProps<{ id: string }>()
const visit = useQuery(() => recordOf(props.id))
const everybody = useQuery(() => queries.everybody())
const instruments = useQuery(() => queries.instruments())
/** What it was measured with that is out of use since, where nobody has said whether the figures hold. */
const withdrawn = computed(() => instruments.data.value?.find((i) => i.suspect.some((v) => v.visitId === props.id)))
const name = (by?: string | null) => everybody.data.value?.find((p) => p.id === by)?.name ?? ''
useTitle(() => visit.data.value && `Record, ${visit.data.value.context?.engine.name}, ${day(visit.data.value.date)}`)
const correcting = ref(false)
const countersigning = ref(false)
const picked = ref<Point | null>(null)
const measured = computed(() => visit.data.value?.sheet?.points.filter((p) => p.found || p.left || p.outcome) ?? [])
function correct(point: Point) {
  picked.value = point
  correcting.value = true
}
const print = () => window.print()
</script>

<template>
  <Loaded v-slot="{ data }" :query="visit" what="visit" back="/" back-text="The yard">
    <main v-if="data.sheet" class="page">
      <PaperHead what="Record" />
      <div class="page-head">
        <RecordHead :visit="data" :sheet="data.sheet" :name="name" />
        <div class="d-flex gap-2 flex-wrap no-print">
          <BButton class="btn-plain" @click="print">Print</BButton>
          <BButton v-if="data.signed" class="btn-plain" :href="`/api/visits/${id}/record-file`" download
            >As a file</BButton
          >
          <BButton v-if="data.signed" class="btn-plain" @click="countersigning = true">Countersign</BButton>
          <BButton v-if="data.state === 'open'" class="btn-act" :to="{ name: 'visit', params: { id } }"
            >Go on with it</BButton
          >
          <BButton class="btn-plain" :to="{ name: 'engine', params: { id: data.engineId } }">The engine</BButton>
        </div>
      </div>
      <p v-if="withdrawn" class="plate p-3 mb-3" role="note">
        Measured with {{ withdrawn.name }}, withdrawn {{ day(withdrawn.withdrawn!) }}: {{ withdrawn.why }}. Say below
        whether its figures hold.
      </p>
      <p v-if="data.judgedLater" class="plate p-3 mb-3" role="note">
        Measured {{ day(data.date) }} with no figure at hand. Judged by revision {{ data.judgedLater.revision }},
        {{ data.judgedLater.source }}, dated {{ day(data.judgedLater.date) }}:
        {{ data.judgedLater.points.map((p) => `${p.point} ${verdictWords[p.state]} (${p.written})`).join('; ') }}.
      </p>
      <p v-if="data.newerRevision" class="plate p-3 mb-3" role="note">
        The book has a newer revision since: {{ data.newerRevision.revision }}, {{ data.newerRevision.source }}, dated
        {{ day(data.newerRevision.date) }}. This record stays judged by the one it names.
      </p>
      <TrendAnswer v-if="data.signed" class="mb-3 no-print" :visit-id="id" :sheet="data.sheet" />
      <section class="plate p-2 table-responsive">
        <RecordTable
          :points="measured"
          :signed="!!data.signed"
          :seconds="data.countersignatures"
          :steps="data.sheet.steps.filter((s) => s.point && s.ticked)"
          :name="name"
          @correct="correct"
        />
      </section>
      <MarksMean />
      <RecordMore :visit="data" :sheet="data.sheet" :name="name" :photo-url="photoUrl" />
      <LateEntries v-if="data.signed && data.late.length" class="mt-3" :visit-id="id" :late="data.late" />
      <section v-if="data.refused.length" class="plate p-3 mt-3 no-print">
        <h2>Refused</h2>
        <p v-for="r in data.refused" :key="r.id" class="mb-1 small">
          {{ r.kind }} by {{ name(r.by) || 'nobody known' }}: {{ r.sentence }}
        </p>
      </section>
      <RecordEntries :id="id" class="mt-3 no-print" :name="name" :late="data.late" />
      <CountersignDialog
        :key="data.countersignatures.length"
        v-model="countersigning"
        :visit-id="id"
        :unit="data.sheet.trayUnit"
        :points="measured.filter((p) => p.found || p.left)"
      />
      <CorrectDialog v-model="correcting" :visit-id="id" :unit="data.sheet.trayUnit" :point="picked" />
    </main>
  </Loaded>
</template>
