<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Sign } from '../../../offline/entries'
import { isFree, lapHints, whichLap } from '../../../shared/words/gear'
import { begun as sentenceOf } from '../../../shared/words/odds'
import { inTheBook } from '../../../shared/words/points'
import type { Sheet } from './useVisit'

/** Two cylinders stand at the top together: which of them is on compression is seen by what is free, and either may be measured first. */
const props = defineProps<{
  sheet: Sheet
  stop: Sheet['stops'][number]
  own: number
  companion: number
  /** What is free proves it here, beside what moves. */
  looseProves: boolean
}>()
const emit = defineEmits<{ prove: [crankDeg: number, said: string, signs: Sign[]]; elsewhere: [] }>()
const hint = ref<'bothLoose' | 'neitherLoose' | ''>('')
const gear = computed(() => props.sheet.gear)
const hints = computed(() => lapHints(gear.value))
/** The companion's own stop, one turn on, where something is left to do. */
const other = computed(() => {
  const deg = props.stop.crankDeg
  if (deg == null) return undefined
  return props.sheet.stops.find(
    (s) => s.crankDeg != null && Math.abs(((s.crankDeg - deg + 720) % 720) - 360) < 1e-3 && !s.done,
  )
})
const lap = (deg: number | null | undefined) =>
  props.sheet.cycleDeg === 720 && deg != null ? (deg < 360 ? 'inner lap: ' : 'outer lap: ') : ''
const seen = (loose: number, rocking: number): Sign[] => [
  { cylinder: loose, kind: 'intake', state: 'loose' },
  { cylinder: loose, kind: 'exhaust', state: 'loose' },
  { cylinder: rocking, kind: 'exhaust', state: 'moving' },
]

function prove(crankDeg: number, said: string, loose: number, rocking: number) {
  hint.value = ''
  emit('prove', crankDeg, said, seen(loose, rocking))
}
</script>

<template>
  <div>
    <p class="mb-2">{{ whichLap(gear, own, companion) }}</p>
    <div class="cards">
      <div class="card-here">
        <strong>{{
          looseProves ? sentenceOf(`${isFree(gear, own)}, ${companion} moves`) : `${companion} moves`
        }}</strong>
        <span class="small soft">{{ lap(stop.crankDeg) }}{{ own }} on compression</span>
        <span class="figure spaced">{{ inTheBook(sheet, stop.points) }}</span>
        <BButton
          class="btn-act w-100"
          @click="prove(stop.crankDeg!, `${isFree(gear, own)}, ${companion} moves`, own, companion)"
          >{{ own }} is on compression: measure</BButton
        >
      </div>
      <div class="card-here">
        <strong>{{ sentenceOf(`${isFree(gear, companion)}, ${own} moves`) }}</strong>
        <span class="small soft">{{ lap((stop.crankDeg! + 360) % 720) }}{{ companion }} on compression</span>
        <template v-if="other">
          <span class="figure spaced">{{ inTheBook(sheet, other.points) }}</span>
          <BButton
            class="btn-plain w-100"
            @click="prove(other.crankDeg!, `${isFree(gear, companion)}, ${own} moves`, companion, own)"
            >Begin with these instead</BButton
          >
        </template>
        <span v-else class="small">Bar one whole turn more, forwards.</span>
      </div>
    </div>
    <div class="even-buttons">
      <BButton class="btn-plain" @click="hint = 'bothLoose'">{{ hints.both }}</BButton>
      <BButton class="btn-plain" @click="hint = 'neitherLoose'">{{ hints.neither }}</BButton>
      <BButton class="btn-plain" @click="emit('elsewhere')">Something else moves…</BButton>
    </div>
    <p v-if="hint === 'bothLoose'" class="complaint mt-2" role="status">
      Then neither rocks: the crank is off its mark, or the mark is another one. Bar slowly on until one of them moves,
      and look at the mark again.
    </p>
    <p v-if="hint === 'neitherLoose'" class="complaint mt-2" role="status">
      {{ hints.ifNeither }}
    </p>
  </div>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.card-here {
  border: 1.4px solid var(--ink);
  padding: 0.8rem;
  display: flex;
  flex-direction: column;
  gap: 0.35rem;
}
/* Of two cards the buttons stand on one line. */
.card-here > .btn:last-child {
  margin-top: auto;
}
.card-here:first-child {
  border: 2px solid var(--blue);
}
.card-here strong {
  font-size: 1.12rem;
}
@media (max-width: 760px) {
  .cards {
    grid-template-columns: 1fr;
  }
}
</style>
