<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, nextTick } from 'vue'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import { lifted } from '../../../shared/words/gear'
import { readingText } from '../../../shared/words/readings'
import BladeRail from './BladeRail.vue'
import GatePair from './GatePair.vue'
import KeepButton from './KeepButton.vue'
import TurnedButtons from './TurnedButtons.vue'
import type { useMeasuring } from './useMeasuring'
import type { Point, Sheet } from './useVisit'

/** The hand: at the lower edge in every state, so that a thumb finds it without looking. */
const props = defineProps<{
  m: ReturnType<typeof useMeasuring>
  sheet: Sheet
  point: Point
  setting: boolean
  anew?: boolean
  figures: Figures
}>()
// One measuring a point: it is never another one.
const m = props.m
const { stage, draft, growing, onDial, typed, unit, offer, doubtful, complaint, ready, keepsItself } = m
const nowText = computed(() => readingText(growing.value, props.figures.figure))
/** As found where it is expected; after setting at the figure. */
const around = computed(() =>
  stage.value === 'asFound'
    ? (props.point.expectedMm ?? props.point.beforeMm ?? props.point.setMm ?? props.point.siblings?.leastMm ?? 0.3)
    : (props.point.setMm ?? 0.3),
)
const suggest = computed(() => {
  const now = growing.value
  if (now) return now.nextBlade?.blades ?? (props.point.worthFiner ? now.trendBlade?.blades : null)
  return stage.value === 'asFound' ? (props.point.firstBlade?.blades ?? null) : null
})
const keepText = computed(() => {
  const figure = nowText.value
  if (stage.value === 'beforeLock')
    return `Keep${figure ? ` ${figure}` : ''}${props.point.shim ? ': the gap to work from' : ', not locked yet'}`
  return `${figure ? `Keep ${figure}` : 'Keep'} as ${stage.value === 'asFound' ? 'found' : 'left'}`
})
const asks: Record<Point['ask'], string> = {
  asFound: 'As found: which blade drags?',
  beforeLock: 'Nut still loose: which blade drags?',
  locked: 'Locked: which blade drags?',
  again: 'Again: which blade drags?',
  withTrialShim: 'With this shim in: which blade drags?',
}
/** Both blades of a go/no-go pair as they should be, in one tap. */
const gates = computed(() =>
  props.point.gates && !onDial.value && stage.value !== 'beforeLock' && !draft.value?.trials.length
    ? props.point.gates
    : null,
)
const ask = computed(() => {
  if (onDial.value)
    return stage.value === 'asLeft'
      ? `Locked? Lift the ${lifted(props.sheet.gear)}: what does the dial show?`
      : `Lift the ${lifted(props.sheet.gear)}: what does the dial show?`
  return asks[props.anew ? 'asFound' : props.point.ask]
})

/** What surprises is kept by the button that says so, never by a key pressed on the way. */
function keepUnlessAsked() {
  if (!growing.value?.surprise) m.keep(doubtful.value)
}
const keys = [
  { key: '0–9', does: 'type a figure' },
  { key: 'Enter', does: 'keep the figure' },
  { key: 'Backspace', does: 'take the last try back' },
]
useKeys(keys, (event) => {
  if (document.querySelector('.modal.show')) return
  if (event.key === 'Enter' && !isTyping(event) && !['BUTTON', 'A'].includes((event.target as HTMLElement).tagName)) {
    keepUnlessAsked()
  } else if (event.key === 'Backspace' && !isTyping(event)) {
    m.takeBack()
  } else if (/^[0-9]$/.test(event.key) && !isTyping(event)) {
    event.preventDefault()
    typed.value += event.key
    void nextTick(() => document.getElementById('typed')?.focus())
  }
})
</script>

<template>
  <div class="hand">
    <div v-if="complaint" class="complaint mb-2" role="alert">
      {{ complaint }}
      <BButton v-if="offer" class="btn-plain ms-2" @click="m.otherUnit">Yes, {{ typed }} {{ offer }}</BButton>
      <BButton v-if="doubtful" class="btn-plain ms-2" @click="m.keep(true)">It is so: keep it</BButton>
    </div>
    <GatePair v-if="gates" :gates="gates" @tried="m.tried" />
    <TurnedButtons
      v-if="setting && !point.shim"
      :sheet="sheet"
      :point="point"
      :stage="stage"
      @tried="m.tried"
      @turned="m.turned"
    />
    <div class="asks">
      <h2 class="ask">{{ ask }}</h2>
      <form class="typed" @submit.prevent="m.figure()">
        <label for="typed" class="small soft">{{ onDial ? 'on the dial' : 'or type a figure' }}</label>
        <ClearanceField
          id="typed"
          v-model="typed"
          v-model:unit="unit"
          class="typed-figure"
          @keydown.enter.prevent="
            growing && draft?.figure === typed.trim() ? growing.surprise || m.keep(doubtful) : m.figure()
          "
        />
        <BButton class="btn-plain" type="submit" :disabled="!typed.trim()">Read</BButton>
      </form>
    </div>
    <p v-if="!onDial && !sheet.tray.length" class="small soft mb-1">
      No blades were named when it was opened: type the figure.
    </p>
    <BladeRail
      v-else-if="!onDial"
      :blades="sheet.tray"
      :thin="sheet.thinBlades"
      :unit="sheet.trayUnit"
      :trials="draft?.trials ?? []"
      :around="around"
      :suggest="suggest"
      @tried="m.tried"
    />
    <div class="keeping">
      <KeepButton :itself="keepsItself" :disabled="!ready || !!growing?.surprise" @click="m.keep(doubtful)">{{
        keepText
      }}</KeepButton>
      <BButton class="btn-plain" :disabled="!draft" @click="m.takeBack()">Take back</BButton>
    </div>
  </div>
</template>

<style scoped>
.hand {
  order: 1;
  position: sticky;
  bottom: 0;
  z-index: 2;
  margin: auto calc(-1 * var(--pad)) calc(-1 * var(--pad));
  padding: 0.55rem var(--pad) 0.7rem;
  background: var(--plate);
  border-top: 1.5px solid var(--ink);
}
.asks {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0 0.6rem;
  flex-wrap: wrap;
  margin-bottom: 0.4rem;
}
.ask {
  font-weight: 700;
  font-size: 1.1rem;
  margin: 0;
}
.typed {
  display: flex;
  gap: 0.4rem;
  align-items: center;
}
.typed label {
  max-width: 4.6rem;
  line-height: 1.1;
}
.typed :deep(.input-group) {
  width: 140px;
}
.keeping {
  display: flex;
  gap: 0.5rem;
  margin-top: 0.5rem;
}
.keeping .btn-plain {
  min-width: 110px;
}
@media (max-width: 1100px) {
  .hand {
    position: fixed;
    left: 0;
    right: 0;
    margin: 0;
  }
}
</style>
