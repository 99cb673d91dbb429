<script setup lang="ts">
import StateMark from '../../../instruments/StateMark.vue'
import { day } from '../../../shared/figures/days'
import type { Figures } from '../../../shared/figures/useFigures'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import type { Point, Sheet } from './useVisit'

/** How a point was found, at this visit or at the one that this goes on with. */
defineProps<{
  sheet: Sheet
  point: Point
  figures: Figures
  setting: boolean
  underWay: boolean
  finished: boolean
  closed: boolean
}>()
defineEmits<{ takeBack: [entry: string] }>()
/** What an earlier visit found is measured anew before anything is changed. */
const anew = defineModel<boolean>('anew', { required: true })
</script>

<template>
  <!-- Once something was set the trail below says how it was found. -->
  <div v-if="point.found && !underWay" class="found" :class="`is-${point.found.state}`">
    <p class="verdict">
      <StateMark :state="point.found.state" :size="26" />
      Found {{ point.found.state ? `${verdictWords[point.found.state]}: ` : ''
      }}{{ point.found.with === 'dial' ? `${point.found.written} ${point.found.unit} on the dial, ` : ''
      }}{{ readingText(point.found, figures.figure)
      }}{{ point.found.state === 'tight' ? ` where ${figures.withUnit(point.minMm)} is the least` : ''
      }}{{ point.found.state === 'loose' ? ` where ${figures.withUnit(point.maxMm)} is the most` : '' }}.
      <span v-if="point.found.estimateMm != null" class="small soft">{{ figures.other(point.found.estimateMm) }}</span>
    </p>
    <button
      v-if="setting && !point.left && !point.leftDraft && !point.beforeLock && point.found.keptEntry && !closed"
      type="button"
      class="btn btn-plain float-end"
      @click="$emit('takeBack', point.found.keptEntry)"
    >
      Take it back
    </button>
    <p class="small soft mb-1">
      {{ point.moved }}
      <template v-if="point.corrected.length"
        >Corrected; before:
        {{ point.corrected.map((c) => readingText(c.before, figures.figure)).join(', ') }}.</template
      >
    </p>
  </div>

  <div v-if="point.foundBefore && !finished" class="found">
    <p class="verdict">
      Found {{ figures.withUnit(point.foundBefore.estimateMm ?? point.foundBefore.upperMm) }},
      {{ day(point.foundBefore.at) }}.
    </p>
    <p v-if="sheet.findAgain && setting && !point.shim?.fitted" class="mb-1">{{ sheet.findAgain }}</p>
    <button
      v-if="setting && !point.shim?.fitted && !point.leftDraft && !closed"
      type="button"
      class="text-link small"
      @click="anew = true"
    >
      Measure it anew first
    </button>
    <button v-else-if="anew && !closed" type="button" class="text-link small" @click="anew = false">
      Go by what was found then
    </button>
  </div>
</template>

<style scoped>
.found {
  /* Its button is as tall as two lines: what follows stands below it. */
  display: flow-root;
  margin-top: 0.4rem;
}
</style>
