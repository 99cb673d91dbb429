<script setup lang="ts">
import StateMark from '../../../instruments/StateMark.vue'
import { useFigures } from '../../../shared/figures/useFigures'
import { startWords } from '../../../shared/words/amounts'
import { knownBy } from '../../../shared/words/shims'
import { outcomeWords } from '../../../shared/words/outcomes'
import { attemptsText, readingText, triesText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import type { Point, SheetStep, Visit } from '../bench/useVisit'

/** Every point of a record: asked, found, left, how it was measured, by whom. */
const props = defineProps<{
  points: Point[]
  signed: boolean
  seconds: Visit['countersignatures']
  /** Steps ticked at points, such as a bridge set first. */
  steps: SheetStep[]
  name: (id?: string | null) => string
}>()
defineEmits<{ correct: [point: Point] }>()
const figures = useFigures()
/** A point left alone has one figure that serves as both. */
const isAlone = (p: Point) => !p.left && p.outcome === 'leftAlone'
const left = (p: Point) =>
  p.left || isAlone(p)
    ? readingText(p.left ?? p.found, figures.figure, true)
    : p.outcome === 'byTheBook' && p.amountSaid
      ? p.amountSaid
      : p.outcome
        ? outcomeWords[p.outcome]
        : '—'
/** The same in the other unit, so that nobody has to convert what was judged. */
const other = (p: Point) => {
  const mm = (p.left ?? p.found)?.estimateMm
  return mm == null ? '' : figures.other(mm)
}
const shimText = (p: Point) =>
  !p.shim?.now
    ? ''
    : p.shim.fitted && p.shim.found
      ? `shim ${p.shim.found.thickness} ${p.shim.found.unit} out, ${p.shim.now.thickness} ${p.shim.now.unit} in (${knownBy[p.shim.now.how]})`
      : `shim ${p.shim.now.thickness} ${p.shim.now.unit} (${knownBy[p.shim.now.how]})`
const claimed = (p: Point) =>
  p.claimed ? `claimed ${readingText(p.claimed, figures.figure, true)}${p.claimedBy ? ` by ${p.claimedBy}` : ''}` : ''
const hot = (p: Point) => (p.found?.minutesSinceStop != null ? `${p.found.minutesSinceStop} min after it stopped` : '')
/** Blades and feel; where there is no gap, how it stood and how contact was found. */
const how = (p: Point) =>
  p.byAmount
    ? [p.start ? startWords[p.start] : '', p.contactSaid ?? '', (p.pass ?? 1) > 1 ? 'gone over twice' : '']
        .filter(Boolean)
        .join('; ')
    : [triesText(p.found), attemptsText(p.attempts, figures.figure), triesText(p.left)].filter(Boolean).join('; then ')
const notes = (p: Point) =>
  [
    claimed(p),
    shimText(p),
    hot(p),
    p.own ? `this engine’s own figure: ${p.own.why} (${p.own.who}, ${p.own.source})` : '',
    p.why,
    p.found?.unproved || p.left?.unproved ? 'position not proved' : '',
    ...props.steps
      .filter((s) => s.point === p.label)
      .map((s) => `${s.text.replace(/\.$/, '')}${s.notHere ? `: not here, ${s.why ?? ''}` : ''}`),
  ]
    .filter(Boolean)
    .join('; ')
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
    <colgroup>
      <col class="point" />
      <col class="book" />
      <col class="found" />
      <col class="left" />
      <col class="how" />
      <col class="who" />
      <col class="note" />
      <col v-if="signed" class="no-print" />
    </colgroup>
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
            }}<span class="small d-block keep">{{ figures.otherRange(p.minMm, p.maxMm) }}</span
            ><span v-if="asWritten(p)" class="small d-block">{{ p.specWritten }}</span></template
          ><template v-else>{{ p.specWritten ?? 'not judged' }}</template>
        </td>
        <td class="figure keep" :class="`is-${p.found?.state}`">
          <StateMark :state="p.found?.state" :size="15" /> {{ readingText(p.found, figures.figure, true) }}
          <span v-if="p.found?.state && p.found.state !== 'inWindow'" class="small">{{
            verdictWords[p.found.state]
          }}</span>
        </td>
        <td class="figure keep">
          {{ left(p)
          }}<span v-if="other(p)" class="small soft d-block">{{ other(p) }}{{ isAlone(p) ? ', left alone' : '' }}</span>
        </td>
        <td class="soft small">{{ how(p) }}</td>
        <td class="keep">{{ name((p.left ?? p.found)?.by ?? p.saidBy) }}</td>
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

<style scoped>
.keep {
  white-space: nowrap;
}
/* Two lines a point, so that two dozen points stand on two pages. */
@media print {
  table {
    table-layout: fixed;
    font-size: 8.5pt;
    line-height: 1.25;
  }
  .small {
    font-size: 7.5pt;
  }
  .keep {
    white-space: normal;
  }
  .point {
    width: 8%;
  }
  .book {
    width: 17%;
  }
  .found,
  .left {
    width: 15%;
  }
  .how {
    width: 24%;
  }
  .who {
    width: 8%;
  }
}
</style>
