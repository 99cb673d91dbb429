<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, nextTick } from 'vue'
import StateMark from '../../../instruments/StateMark.vue'
import type { Entry } from '../../../offline/entries'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import { lifted } from '../../../shared/words/gear'
import { spoken } from '../../../shared/words/points'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import BladeRail from './BladeRail.vue'
import SettingAdvice from './SettingAdvice.vue'
import TriesList from './TriesList.vue'
import TurnedButtons from './TurnedButtons.vue'
import { useMeasuring, type Measuring } from './useMeasuring'
import type { Point } from './useVisit'

/** A gap measured, as found or after setting: the rail, another feel or a figure, the verdict as it grows, and the keeping of it. */
const props = defineProps<Measuring & { setting: boolean; proved: boolean; figures: Figures }>()
const emit = defineEmits<{ say: [...entries: Entry[]]; prove: [] }>()
const m = useMeasuring(props, (...entries) => emit('say', ...entries))
const { stage, draft, growing, onDial, typed, unit, why, leaving, unproved, offer, doubtful, complaint } = m
const { needsWhy, ready, keepsItself } = m

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
const verdict = computed(() => {
  const now = growing.value
  if (now?.onFigure) return `On the figure: ${nowText.value}.`
  if (now?.side && !now.state)
    return now.side === 'tight'
      ? `Under the figure: the set blade does not go.`
      : `Over the figure: the set blade slides.`
  return now?.state
    ? `${verdictWords[now.state].replace(/^./, (c) => c.toUpperCase())}: ${nowText.value}.`
    : `Reads ${nowText.value}.`
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
function bothAsTheyShould() {
  m.tried({ blades: [gates.value!.go], feel: 'free' }, { blades: [gates.value!.noGo], feel: 'noGo' })
}
const ask = computed(() => {
  if (onDial.value)
    return stage.value === 'asLeft'
      ? `Locked? Lift the ${lifted(props.sheet.gear)}: what does the dial show?`
      : `Lift the ${lifted(props.sheet.gear)}: what does the dial show?`
  return asks[props.anew ? 'asFound' : props.point.ask]
})
const onDialWindow = computed(() => {
  const d = props.point.dial
  const f = (n: number) => (d?.unit === 'thou' ? n.toFixed(1) : n.toFixed(2))
  return d ? `On the dial the window is ${f(d.min)} to ${f(d.max)} ${d.unit}.` : ''
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
  <div class="measuring">
    <SettingAdvice
      v-if="setting && !point.shim"
      :sheet="sheet"
      :point="point"
      :figures="figures"
      :stage="stage"
      :resetting="resetting"
    />
    <p v-if="!proved && !unproved && !seen" class="complaint">
      The stop of {{ spoken(point) }} is not proved.
      <BButton class="btn-plain ms-2" @click="emit('prove')">Find the stop</BButton>
      <BButton class="btn-plain ms-2" @click="unproved = true">Measure without proof</BButton>
    </p>
    <p v-else-if="unproved" class="small soft mb-1">Measured without proof of the position; the record says so.</p>
    <p v-if="!setting && point.worthFiner" class="small soft mb-1">
      Worth a finer figure: a hundredth decides whether this one can stay until the next visit.
    </p>
    <p v-if="onDial" class="small soft mb-1">{{ onDialWindow }}</p>
    <TriesList
      :trials="draft?.trials ?? []"
      :figure="draft?.figure"
      :figure-entry="draft?.figureEntry"
      :unit="draft?.unit ?? unit"
      :dial="growing?.with === 'dial'"
      @take-back="m.takeBack"
    />
    <p v-if="growing && nowText" class="verdict mt-2" :class="`is-${growing.state ?? growing.side}`" aria-live="polite">
      <StateMark :state="growing.state ?? growing.side" :size="26" />
      {{ verdict }}
      <span v-if="growing.estimateMm != null" class="small soft">{{ figures.other(growing.estimateMm) }}</span>
      <span v-if="growing.nextBlade" class="small">Next: the {{ growing.nextBlade.blades.join(' + ') }} blade.</span>
      <span v-else-if="growing.action === 'yours'" class="small"
        >No blade of this tray tells more: yours to decide.</span
      >
      <span v-else-if="growing.trendBlade && !setting" class="small soft"
        >To narrow it, try {{ growing.trendBlade.blades.join(' + ') }}.</span
      >
    </p>
    <Field
      v-if="needsWhy || leaving"
      v-slot="{ bind }"
      class="mt-2"
      label="Why is it left as found?"
      :complaint="needsWhy && !why.trim() && 'It is not surely in the window. Set it again, or say why it stays so.'"
    >
      <BFormInput v-bind="bind" v-model="why" @keydown.enter.prevent="leaving && !draft && m.leaveSo()" />
    </Field>
    <div v-if="setting && !draft && !resetting && (point.found || point.foundBefore)" class="actions">
      <BButton v-if="!leaving" class="btn-plain" @click="leaving = true">Leave as found…</BButton>
      <template v-else>
        <BButton class="btn-plain" :disabled="!why.trim()" @click="m.leaveSo">Leave as found</BButton>
        <BButton class="btn-plain" @click="leaving = false">Cancel</BButton>
      </template>
    </div>

    <!-- The hand: at the lower edge in every state, so that a thumb finds it without looking. -->
    <div class="hand">
      <div v-if="complaint" class="complaint mb-2" role="alert">
        {{ complaint }}
        <BButton v-if="offer" class="btn-plain ms-2" @click="m.otherUnit">Yes, {{ typed }} {{ offer }}</BButton>
        <BButton v-if="doubtful" class="btn-plain ms-2" @click="m.keep(true)">It is so: keep it</BButton>
      </div>
      <div v-if="gates" class="gates">
        <BButton class="btn-act" @click="bothAsTheyShould">{{ gates.go }} goes, {{ gates.noGo }} does not</BButton>
        <BButton class="btn-plain" @click="m.tried({ blades: [gates.go], feel: 'noGo' })"
          >{{ gates.go }} does not go</BButton
        >
        <BButton class="btn-plain" @click="m.tried({ blades: [gates.noGo], feel: 'free' })"
          >{{ gates.noGo }} goes too</BButton
        >
      </div>
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
        <BButton
          class="btn-act keep"
          :class="{ itself: keepsItself }"
          :disabled="!ready || !!growing?.surprise"
          @click="m.keep(doubtful)"
          >{{ keepText }}</BButton
        >
        <BButton class="btn-plain" :disabled="!draft" @click="m.takeBack()">Take back</BButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
/* What it holds stands in the panel itself, so that the hand can stay at the panel's lower edge. */
.measuring {
  display: contents;
}
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
.gates {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
  margin-bottom: 0.5rem;
}
.gates .btn-act {
  flex: 1 1 220px;
  min-height: 56px;
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
.actions {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.7rem;
  flex-wrap: wrap;
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
.keep {
  flex: 1;
  min-height: 56px;
  font-size: 1.1rem;
  line-height: 1.15;
  position: relative;
}
/* The time until it keeps itself runs along its foot. */
.keep.itself::after {
  content: '';
  position: absolute;
  left: 0;
  bottom: 0;
  height: 5px;
  width: 100%;
  background: var(--on-blue);
  transform-origin: left;
  animation: runs-out 2s linear forwards;
}
@keyframes runs-out {
  from {
    transform: scaleX(0);
  }
  to {
    transform: scaleX(1);
  }
}
</style>
