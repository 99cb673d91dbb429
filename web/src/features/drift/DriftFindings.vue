<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useTrendAnswer } from '../../offline/useTrendAnswer'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import type { Figures } from '../../shared/figures/useFigures'
import StateMark from '../../instruments/StateMark.vue'
import DriftQuestion from './DriftQuestion.vue'
import { driftChanged, rateText, standingOut, usualOf } from '../../shared/words/drift'
import { spoken } from '../../shared/words/points'
import { namedText } from '../../shared/words/voice'
import { leftOutSentence, trendAnswers } from '../../shared/words/trend'
import { verdictWords } from '../../shared/words/verdicts'

/** What the figures say, each a sentence; a visit that read one way throughout is a question, and its answer counts at once. */
const props = defineProps<{ drift: Schemas['EngineDriftResponse']; figures: Figures }>()
const { answer, swapped, failure, busy } = useTrendAnswer()
const out = computed(() => standingOut(props.drift))
const named = (label: string) => props.drift.voice.named.find((n) => n.point === label)!
const fast = computed(() => props.drift.points.filter((p) => named(p.label)))
/** Set since, and in no doubt: said once, and no longer a finding. */
const foundOut = computed(() =>
  props.drift.points.filter((p) => props.drift.voice.foundOut.includes(p.label) && !out.value.includes(p)),
)
const lastFound = (p: Schemas['EngineDriftPointResponse']) => p.visits.findLast((v) => v.found)?.found
const asked = computed(() => props.drift.visits.filter((v) => v.asked))
const suspect = computed(() => props.drift.visits.filter((v) => v.measuredWith && !v.leftOut))
const exchanged = computed(() => props.drift.visits.filter((v) => v.swapped && !v.leftOut))
const leftOut = computed(() => props.drift.visits.filter((v) => v.leftOut))
/** Its own hours to the fleet's risk: never the engine's. */
const ownReach = (label: string) => {
  const own = named(label).ownHoursToRisk
  return own == null
    ? ''
    : own > 0
      ? `; at its limit by its own odds in ${hours(own)} h`
      : '; at its limit already by its own odds'
}
const usual = (p: Schemas['EngineDriftPointResponse']) => usualOf(props.drift, p)
const answers = { warm: trendAnswers.warm, otherBlades: trendAnswers.otherBlades, counts: 'No, count it' }
const swapAnswers = { yes: 'Yes, swapped', no: 'No, they are so' }
const bladeAnswers = { otherBlades: 'Leave it out', counts: 'Its figures hold' }
</script>

<template>
  <section class="plate p-3" aria-label="What the figures say">
    <h2>What the figures say</h2>
    <p v-if="driftChanged(drift)" class="mb-1 mt-1">{{ driftChanged(drift) }}</p>
    <p
      v-if="drift.voice.ordinary && !asked.length && !exchanged.length && !suspect.length && !leftOut.length"
      class="mb-0 mt-1"
    >
      {{
        drift.voice.valves
          ? 'Nothing out of the ordinary. No history shows what has not begun.'
          : 'Not enough found yet to date; the book decides.'
      }}
    </p>
    <ul class="plain-list mb-0">
      <li v-for="p in out" :key="`o${p.label}`" :class="`is-${p.standing}`">
        <StateMark :state="p.standing" :size="14" />
        <strong>
          {{ spoken(p) }} was found {{ verdictWords[p.standing!] }}, {{ figures.figure(p.lastMm) }} of
          {{ figures.withUnit(p.standing === 'tight' ? p.minMm : p.maxMm) }}, and waits to be set.
        </strong>
      </li>
      <li v-for="p in fast" :key="`f${p.label}`">
        <strong>{{ namedText(named(p.label)) }}: suspect that valve.</strong>
        <span class="small soft d-block">
          {{ rateText(p, figures) }}<template v-if="usual(p) != null">, usual {{ figures.rate(usual(p)!) }}</template
          >{{ ownReach(p.label) }}.
          {{
            p.kind === 'exhaust' && p.mmPer1000h! < 0
              ? 'Seat or face recession likely: leak-down at the next visit.'
              : ''
          }}
        </span>
      </li>
      <li v-for="p in foundOut" :key="`w${p.label}`">
        {{ spoken(p) }} was last found out of its window, {{ figures.figure(lastFound(p)?.mm) }} of
        {{ figures.range(p.minMm, p.maxMm) }}, and set.
      </li>
      <DriftQuestion
        v-for="v in asked"
        :key="v.visitId"
        :answers="answers"
        :busy="busy"
        @answer="answer(v.visitId, $event)"
      >
        The visit of {{ day(v.date) }}, {{ hours(v.hours) }} h, read {{ figures.withUnit(Math.abs(v.shiftMm!)) }}
        {{ v.shiftMm! < 0 ? 'tight' : 'loose' }} throughout. Was the engine warm?
      </DriftQuestion>
      <DriftQuestion
        v-for="v in exchanged"
        :key="`x${v.visitId}`"
        :answers="swapAnswers"
        :busy="busy"
        @answer="swapped(v.visitId, v.swapped!, $event === 'yes')"
      >
        On {{ day(v.date) }} {{ v.swapped!.first }} reads as {{ v.swapped!.second }} was expected to, and the other way
        round. Were they swapped?
      </DriftQuestion>
      <DriftQuestion
        v-for="v in suspect"
        :key="`s${v.visitId}`"
        :answers="bladeAnswers"
        :busy="busy"
        @answer="answer(v.visitId, $event)"
      >
        The visit of {{ day(v.date) }}, {{ hours(v.hours) }} h, was measured with {{ v.measuredWith }}, withdrawn since:
        {{ v.withdrawnWhy }}. Do its figures hold?
      </DriftQuestion>
      <li v-for="v in leftOut" :key="`l${v.visitId}`" class="soft">
        <RouterLink :to="{ name: 'record', params: { id: v.visitId } }">{{ day(v.date) }}</RouterLink>: as found left
        out of the rates; {{ leftOutSentence(v.leftOut!) }}.
      </li>
    </ul>
    <p v-if="failure" class="complaint mb-0" role="alert">{{ failure }}</p>
  </section>
</template>
