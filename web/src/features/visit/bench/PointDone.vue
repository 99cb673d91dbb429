<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import StateMark from '../../../instruments/StateMark.vue'
import { hours } from '../../../shared/figures/hours'
import type { Figures } from '../../../shared/figures/useFigures'
import { chance } from '../../../shared/words/odds'
import { readingText } from '../../../shared/words/readings'
import type { Entry } from '../../../offline/entries'
import { startWords } from '../../../shared/words/amounts'
import type { Point, Sheet } from './useVisit'

/** A point that is done: how it was left, and why. */
const props = defineProps<{ sheet: Sheet; point: Point; closed: boolean; signed: boolean; figures: Figures }>()
const emit = defineEmits<{ correct: []; reset: []; takeBack: [entry: string]; say: [...entries: Entry[]] }>()
/** What was kept last here, while it can still be taken back. */
const last = computed(() => props.point.left ?? props.point.found)
/** A lifter bleeds down and is gone over again. */
const secondPass = computed(
  () =>
    !props.closed &&
    props.point.outcome === 'byTheBook' &&
    (props.point.adjusterKind === 'hydraulic' || props.sheet.secondPassMinutes != null) &&
    (props.point.pass ?? 1) < 2,
)
const waited = () =>
  props.point.saidAt ? Math.max(0, Math.round((Date.now() - Date.parse(props.point.saidAt)) / 60_000)) : 0
function passed() {
  const [amount, unit] = (props.point.amountSaid ?? '').split(' ')
  emit('say', {
    kind: 'outcome',
    point: props.point.label,
    outcome: 'byTheBook',
    amount: amount!,
    unit: unit!,
    ...(props.point.contactSaid ? { contact: props.point.contactSaid } : {}),
    pass: 2,
    waitMinutes: waited(),
  })
}
</script>

<template>
  <div>
    <p v-if="point.left" class="verdict mt-2">
      <StateMark :state="point.left.state" :size="26" /> Left: {{ readingText(point.left, figures.withUnit)
      }}<template v-if="point.left.estimateMm != null"> ({{ figures.other(point.left.estimateMm) }})</template
      >{{ point.locks ? ', measured after locking' : '' }}.
    </p>
    <p v-if="point.outcome === 'leftSo'" class="mt-2"><strong>Left as found, on purpose.</strong> {{ point.why }}</p>
    <p v-else-if="point.outcome === 'byTheBook'" class="mt-2">
      <strong>Set by the book’s amount{{ point.amountSaid ? `: ${point.amountSaid}` : '' }}.</strong>
      <template v-if="point.contactSaid"> Contact: {{ point.contactSaid }}.</template>
      <template v-if="point.start"> Before: {{ startWords[point.start] }}.</template>
      <template v-if="(point.pass ?? 1) > 1"> Gone over a second time.</template>
    </p>
    <p v-else-if="point.outcome === 'notReached' || point.outcome === 'awaiting'" class="mt-2">
      <strong>{{ point.outcome === 'awaiting' ? 'Waits for a part.' : 'Not reached.' }}</strong> {{ point.why }}
    </p>
    <p v-else-if="!point.left && point.minMm == null" class="mt-2">
      <strong>Not judged:</strong> the book gives no figure for it.
    </p>
    <p v-else-if="!point.left" class="mt-2">
      <strong>In the window: left alone.</strong> The one reading serves as found and as left.
    </p>
    <p v-if="secondPass" class="mb-2">
      <BButton class="btn-plain" @click="passed">Second pass: as it was set</BButton>
      <span class="small soft">{{
        sheet.secondPassMinutes ? ` after ${sheet.secondPassMinutes} min, bled down` : ' once it has bled down'
      }}</span>
    </p>
    <p v-if="point.outByNextVisit != null && !closed" class="mt-1 mb-1">
      {{ chance(point.outByNextVisit) }} that it is {{ point.outSide }} by the manual’s next date: set it while the
      cover is off.
    </p>
    <p v-if="point.hoursToRiskFromHere != null" class="small soft">
      Left here, this valve’s share of the engine’s risk is used up after about
      {{ hours(point.hoursToRiskFromHere) }} h.
    </p>
    <div class="d-flex gap-2 flex-wrap">
      <BButton v-if="!closed && last?.keptEntry" class="btn-plain" @click="emit('takeBack', last.keptEntry)"
        >Take {{ readingText(last, figures.figure) }} back</BButton
      >
      <BButton v-if="signed && (point.found || point.left)" class="btn-plain" @click="emit('correct')"
        >Correct a figure</BButton
      >
      <BButton
        v-if="!point.left && !closed && point.found && point.minMm != null"
        class="btn-plain"
        @click="emit('reset')"
        >Set it all the same</BButton
      >
    </div>
  </div>
</template>
