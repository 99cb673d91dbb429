<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import VerdictMark from '../../../instruments/VerdictMark.vue'
import { hours } from '../../../shared/figures/hours'
import type { Figures } from '../../../shared/figures/useFigures'
import { begun, chance } from '../../../shared/words/odds'
import { readingText } from '../../../shared/words/readings'
import type { Point } from './useVisit'

/** A point that is done: how it was left, and why. */
const props = defineProps<{ point: Point; closed: boolean; signed: boolean; figures: Figures }>()
const emit = defineEmits<{ correct: []; reset: []; takeBack: [entry: string] }>()
/** What was kept last here, while it can still be taken back. */
const last = computed(() => props.point.left ?? props.point.found)
</script>

<template>
  <div>
    <p v-if="point.left" class="verdict mt-2">
      <VerdictMark :state="point.left.state" :size="26" /> Left: {{ readingText(point.left, figures.withUnit) }},
      measured after locking.
    </p>
    <p v-if="point.outcome === 'leftSo'" class="mt-2"><strong>Left as found, on purpose.</strong> {{ point.why }}</p>
    <p v-else-if="point.outcome === 'byTheBook'" class="mt-2"><strong>Set by the book’s amount.</strong></p>
    <p v-else-if="point.outcome === 'notReached' || point.outcome === 'awaiting'" class="mt-2">
      <strong>{{ point.outcome === 'awaiting' ? 'Waits for a part.' : 'Not reached.' }}</strong> {{ point.why }}
    </p>
    <p v-else-if="!point.left && point.minMm == null" class="mt-2">
      <strong>Not judged:</strong> the book gives no figure for it.
    </p>
    <p v-else-if="!point.left" class="mt-2">
      <strong>In the window: left alone.</strong> The one reading serves as found and as left.
    </p>
    <p v-if="point.outByNextVisit != null && !closed" class="mt-1 mb-1">
      {{ begun(chance(point.outByNextVisit)) }} that it stands {{ point.outSide }} by the book’s next visit: worth
      setting while the cover is off.
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
