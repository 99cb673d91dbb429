<script setup lang="ts">
import { computed } from 'vue'
import { degreesText, turnText, watchText } from '../../../shared/words/turns'
import { spoken } from '../../../shared/words/points'
import type { Point, Sheet, Visit } from './useVisit'

/** Where the eye is on the valves: what to bar until, for this one valve; or what the lobes allow where the crank stands. */
const props = defineProps<{ view: Visit; sheet: Sheet; point: Point; proved: boolean }>()
defineEmits<{ pick: [label: string] }>()
const stop = computed(() => props.sheet.stops[props.point.stopIndex])
const type = computed(() => props.view.context!.type)
const lobes = computed(() => props.sheet.lobeAway)
/** Somebody saw it: only that is said as a fact. */
const isHere = computed(() => props.proved || !!lobes.value?.here.includes(props.point.label))
/** It should be clear by the timing where the crank stands; only the eye proves it. */
const byTiming = computed(() => lobes.value?.computed.find((c) => c.point === props.point.label))
const sentence = computed(() => {
  if (props.sheet.method !== 'lobeAway') {
    if (!stop.value) return ''
    return props.proved ? `It stands: ${stop.value.sign}` : watchText(props.sheet.method, stop.value)
  }
  const lobe = `the lobe of ${spoken(props.point)}`
  if (isHere.value) return `Seen: ${lobe} points away.`
  if (byTiming.value)
    return `By the timing ${lobe} should point away here, with ${degreesText(byTiming.value.marginDeg)} to spare: look first.`
  if (props.view.bench) return `Turn the camshaft until ${lobe} points away from its valve.`
  const turn = lobes.value?.next.includes(props.point.label) ? lobes.value.turnDeg : null
  return `Turn${turn ? ` about ${degreesText(turn)} on,` : ''} until ${lobe} points away.`
})
const alsoSeen = computed(() => (lobes.value?.here ?? []).filter((l) => l !== props.point.label))
const alsoByTiming = computed(() => (lobes.value?.computed ?? []).filter((c) => c.point !== props.point.label))
const tool = computed(() =>
  props.sheet.method !== 'lobeAway' && type.value.toolTurnsPerCrankTurn !== 1 && stop.value
    ? turnText(stop.value, type.value)
    : '',
)
</script>

<template>
  <div class="by-eye">
    <p v-if="type.pins && !isHere" class="mb-1 fw-bold" role="note">Before every turn: {{ type.pins }} out?</p>
    <p class="watch">{{ sentence }}</p>
    <p v-if="tool" class="small soft mb-1">{{ tool }}</p>
    <p v-if="alsoSeen.length" class="mb-1">
      Seen clear too:
      <button
        v-for="label in alsoSeen"
        :key="label"
        type="button"
        class="btn btn-plain me-1"
        @click="$emit('pick', label)"
      >
        {{ label }}
      </button>
    </p>
    <p v-if="alsoByTiming.length && !view.bench" class="mb-1">
      By the timing clear here too; look before you measure:
      <button
        v-for="c in alsoByTiming"
        :key="c.point"
        type="button"
        class="btn btn-plain me-1"
        @click="$emit('pick', c.point)"
      >
        {{ c.point }} <span class="small soft">{{ Math.round(c.marginDeg) }}°</span>
      </button>
    </p>
    <p v-if="lobes?.turnDeg && isHere && !view.bench" class="small soft mb-1">
      Then the least turn: about {{ degreesText(lobes.turnDeg) }} on, for
      {{ lobes.next.filter((l) => !lobes!.here.includes(l)).join(', ') }}.
    </p>
  </div>
</template>

<style scoped>
.by-eye {
  border-left: 4px solid var(--blue);
  padding: 0.1rem 0 0.1rem 0.8rem;
  margin: 0.4rem 0 0.6rem;
}
.watch {
  font-size: 1.25rem;
  font-weight: 700;
  margin: 0;
}
</style>
