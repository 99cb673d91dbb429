<script setup lang="ts">
import VerdictMark from '../../../instruments/VerdictMark.vue'
import { useFigures } from '../../../shared/figures/useFigures'
import { outcomeWords } from '../../../shared/words/outcomes'
import { readingText, triesText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import type { Point, Visit } from '../bench/useVisit'

/** Every point of a record: asked, found, left, how it was measured, by whom. */
const props = defineProps<{
  points: Point[]
  signed: boolean
  seconds: Visit['countersignatures']
  name: (id?: string | null) => string
}>()
defineEmits<{ correct: [point: Point] }>()
const figures = useFigures()
const left = (p: Point) =>
  p.left ? readingText(p.left, figures.figure, true) : p.outcome ? outcomeWords[p.outcome] : '—'
const how = (p: Point) => [triesText(p.found), triesText(p.left)].filter(Boolean).join('; then ')
const notes = (p: Point) =>
  [p.why, p.found?.unproved || p.left?.unproved ? 'position not proved' : ''].filter(Boolean).join('; ')
// The book's own words only where they say more than the window: another unit, or a figure with the fleet's tolerance.
const asWritten = (p: Point) => p.fleetTolerance || !p.specWritten?.endsWith(figures.unit)
const second = (p: Point) =>
  props.seconds.flatMap((c) =>
    c.readings
      .filter((r) => r.point === p.label)
      .map((r) => `${readingText(r, figures.figure, true)} by ${props.name(c.by)}, who countersigned`),
  )
</script>

<template>
  <table class="ledger">
    <caption class="visually-hidden">
      Clearances as found and as left, in
      {{
        figures.unit
      }}
    </caption>
    <thead class="caps">
      <tr>
        <th scope="col">Point</th>
        <th scope="col">Book, {{ figures.unit }}</th>
        <th scope="col">Found</th>
        <th scope="col">Left</th>
        <th scope="col">How measured</th>
        <th scope="col">Who</th>
        <th scope="col">Note</th>
        <th v-if="signed" scope="col" class="no-print"><span class="visually-hidden">Correct</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="p in points" :key="p.label">
        <th scope="row">{{ p.label }}</th>
        <td class="figure soft">
          <template v-if="p.minMm != null"
            >{{ figures.figure(p.minMm) }} – {{ figures.figure(p.maxMm)
            }}<span v-if="asWritten(p)" class="small d-block">{{ p.specWritten }}</span></template
          ><template v-else>{{ p.specWritten ?? 'not judged' }}</template>
        </td>
        <td class="figure" :class="`is-${p.found?.state}`">
          <VerdictMark :state="p.found?.state" :size="15" /> {{ readingText(p.found, figures.figure, true) }}
          <span v-if="p.found?.state && p.found.state !== 'inWindow'" class="small">{{
            verdictWords[p.found.state]
          }}</span>
        </td>
        <td class="figure">{{ left(p) }}</td>
        <td class="soft small">{{ how(p) }}</td>
        <td>{{ name((p.left ?? p.found)?.by) }}</td>
        <td class="soft small">
          {{ notes(p) }}
          <div v-for="said in second(p)" :key="said">{{ said }}</div>
          <template v-for="c in p.corrected" :key="c.before.id"
            ><br />before: {{ readingText(c.before, figures.figure, true) }} by {{ name(c.before.by) }}, corrected by
            {{ name(c.by) }}: {{ c.why }}</template
          >
        </td>
        <td v-if="signed" class="no-print">
          <button
            v-if="p.found || p.left"
            type="button"
            class="btn btn-plain"
            :aria-label="`Correct ${p.label}`"
            @click="$emit('correct', p)"
          >
            Correct
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
