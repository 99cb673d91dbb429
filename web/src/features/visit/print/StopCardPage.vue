<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useTitle } from '../../../shared/address/useTitle'
import { day } from '../../../shared/figures/days'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { usePreferences } from '../../../shared/preferences'
import { methodNames } from '../../../shared/words/methods'
import { spoken } from '../../../shared/words/points'
import { travelText, turnText, watchText } from '../../../shared/words/turns'
import { useVisit } from '../bench/useVisit'

/** The stops of one visit on paper, with room for what is found and left: for a bilge without a tablet. */
const props = defineProps<{ id: string }>()
const { query, view, sheet } = useVisit(
  () => props.id,
  () => '',
)
const preferences = usePreferences()
useTitle(() => view.value && `Stop card, ${view.value.context?.engine.name}`)
const figures = useFigures(() => (sheet.value?.trayUnit ?? 'mm') as Unit)
const type = computed(() => view.value!.context!.type)
const point = (label: string) => sheet.value!.points.find((p) => p.label === label)!
const labels = (own: string[]) => (preferences.mirrored ? [...own].reverse() : own)
const print = () => window.print()
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet" class="page">
      <PaperHead what="Stop card" />
      <div class="page-head">
        <div>
          <h1>{{ view.context?.engine.name }}: stop card</h1>
          <p class="mb-0">
            {{ day(view.date) }} · {{ methodNames[sheet.method] }} · {{ type.rotation }} ·
            {{ sheet.turnedBy || type.barringTool }}
          </p>
        </div>
        <div class="d-flex gap-2 no-print">
          <BButton class="btn-act" @click="print">Print</BButton>
          <BButton class="btn-plain" :to="{ name: 'visit', params: { id } }">Back to the bench</BButton>
        </div>
      </div>
      <p class="small">{{ view.context?.foremost }} Hands clear before anyone bars; one person calls.</p>
      <p v-if="type.pins">
        <strong>Before every turn: {{ type.pins }} out?</strong>
      </p>
      <section v-for="stop in sheet.stops" :key="stop.index" class="plate p-3 mb-3 stop">
        <h2>
          {{ stop.crankDeg == null ? 'By the lobes' : `${stop.index + 1}. ${watchText(sheet.method, stop)}` }}
        </h2>
        <p class="mb-1">
          <template v-if="stop.crankDeg == null">{{ stop.sign }}</template>
          <template v-else>
            {{ turnText(stop, type) ?? 'Bar forwards until it comes up.' }} {{ travelText(type.pastTdc) }}
            <template v-if="stop.roomBackDeg != null"
              >Room: {{ Math.round(stop.roomBackDeg) }}° back, {{ Math.round(stop.roomForwardDeg ?? 0) }}° on.</template
            >
            <template v-for="mark in stop.marks" :key="mark.name">
              {{
                Math.abs(mark.aheadDeg) < 1 && !mark.trap
                  ? `Mark ${mark.name} is up.`
                  : `Not ${mark.name}, ${Math.abs(Math.round(mark.aheadDeg))}° ${mark.aheadDeg > 0 ? 'later' : 'before'}.`
              }}
            </template>
          </template>
        </p>
        <p v-if="stop.proofs.length" class="small mb-2">Proof: {{ stop.proofs.map((p) => p.sentence).join(' / ') }}</p>
        <table class="sheet">
          <thead class="caps">
            <tr>
              <th v-if="sheet.points.some((p) => p.bookName)">Book</th>
              <th>Valve</th>
              <th>Asked</th>
              <th>Before</th>
              <th class="write">Found</th>
              <th class="write">Left</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="label in labels(stop.points)" :key="label">
              <td v-if="sheet.points.some((p) => p.bookName)" class="figure">{{ point(label).bookName }}</td>
              <td>{{ spoken(point(label)) }}</td>
              <td class="figure">
                {{ point(label).specWritten ?? '—'
                }}<template v-if="point(label).dial">; {{ point(label).dial!.sentence }}</template>
              </td>
              <td class="figure">{{ point(label).beforeMm != null ? figures.rough(point(label).beforeMm) : '' }}</td>
              <td class="write"></td>
              <td class="write"></td>
            </tr>
          </tbody>
        </table>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.sheet {
  width: 100%;
  border-collapse: collapse;
}
td,
th {
  border: 1px solid var(--line);
  padding: 0.3rem 0.5rem;
  height: 2rem;
}
.write {
  width: 16%;
}
.stop {
  break-inside: avoid;
}
</style>
