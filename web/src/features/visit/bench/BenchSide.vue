<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import CrankDial from '../../../instruments/CrankDial.vue'
import type { Sheet } from './useVisit'

/** Beside the point: where the crank stands, how far the visit is, and whether it is saved. */
const props = defineProps<{
  /** A head on a bench: there is no crank to turn. */
  bench?: boolean
  sheet: Sheet
  stop?: Schemas['SheetStopRecord']
  saved: 'saved' | 'saving' | 'waiting'
}>()
/** Where it is, and the stop it goes to: this one until it is proved, then the one after. */
const stands = computed(() => props.sheet.standsDeg ?? null)
const isHere = computed(
  () =>
    stands.value != null &&
    props.stop?.crankDeg != null &&
    Math.abs(((props.stop.crankDeg - stands.value + 720.5) % props.sheet.cycleDeg) - 0.5) < 1e-3,
)
const here = computed(() => (isHere.value ? props.stop : props.sheet.stops.find((s) => s.crankDeg === stands.value)))
const next = computed(() => {
  if (props.stop?.crankDeg != null && !isHere.value) return props.stop
  return props.stop
    ? props.sheet.stops.slice(props.stop.index + 1).find((s) => s.crankDeg != null && !s.done)
    : undefined
})
const nextDeg = computed(() => (props.sheet.lobeAway ? props.sheet.lobeAway.crankDeg : next.value?.crankDeg) ?? null)
const view = computed(
  () =>
    `Seen from the ${props.sheet.seenFrom === 'flywheel' ? 'flywheel' : 'front'}; bars ${props.sheet.anticlockwise ? 'anticlockwise' : 'clockwise'}${props.sheet.viewAssumed ? ', assumed: look' : ''}.`,
)
/** Of a visit that goes on with another only the points that waited count. */
const asked = computed(() => {
  const waiting = props.sheet.waiting ?? []
  return waiting.length ? props.sheet.points.filter((p) => waiting.includes(p.label)) : props.sheet.points
})
const found = computed(() => asked.value.filter((p) => !p.owesFound).length)
const done = computed(() => asked.value.filter((p) => p.done).length)
const words = {
  saved: 'Saved on the server.',
  saving: 'Saving…',
  waiting: 'Saved on this machine; the server cannot be reached. It is sent when it is back.',
}
</script>

<template>
  <div>
    <section v-if="!bench" id="crank" class="plate p-3">
      <CrankDial
        :cycle="sheet.cycleDeg"
        :order="sheet.firingOrder"
        :angles="sheet.firingAnglesDeg"
        :crank="stands"
        :next="nextDeg"
        :room-back="here?.roomBackDeg"
        :room-forward="here?.roomForwardDeg"
        :next-room-back="next?.roomBackDeg"
        :next-room-forward="next?.roomForwardDeg"
        :anticlockwise="sheet.anticlockwise"
        :caption="`The crank. ${view} ${stop?.sign ?? ''}`"
      />
      <p class="sign">{{ stop?.sign ?? 'Nobody bars yet.' }}</p>
      <p class="small soft mb-0">
        <template v-if="stands != null && sheet.cycleDeg === 720"
          >It stands on the {{ stands < 360 ? 'inner' : 'outer' }} lap. </template
        >{{ view }}
      </p>
    </section>
    <section class="plate p-2 mt-2">
      <strong>{{ found }} of {{ asked.length }} found, {{ done }} done</strong>
      <div
        class="progress-line"
        role="progressbar"
        :aria-valuenow="done"
        :aria-valuemax="asked.length"
        aria-label="Points done"
      >
        <div :style="{ width: `${(done / asked.length) * 100}%` }" />
      </div>
      <p class="small mb-0" :class="saved === 'waiting' ? 'is-tight' : 'soft'" aria-live="polite">{{ words[saved] }}</p>
    </section>
  </div>
</template>

<style scoped>
.sign {
  font-size: 1.12rem;
  font-weight: 700;
  margin: 0.3rem 0 0.1rem;
}
.progress-line {
  height: 6px;
  background: var(--shade);
  margin: 0.3rem 0;
}
.progress-line div {
  height: 100%;
  background: var(--blue);
}
</style>
