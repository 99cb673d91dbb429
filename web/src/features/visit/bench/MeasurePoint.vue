<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, nextTick } from 'vue'
import VerdictMark from '../../../instruments/VerdictMark.vue'
import type { Entry } from '../../../offline/entries'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import { hours } from '../../../shared/figures/hours'
import { useFigures } from '../../../shared/figures/useFigures'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import { spoken } from '../../../shared/words/points'
import { readingText } from '../../../shared/words/readings'
import { verdictWords } from '../../../shared/words/verdicts'
import BladeTray from './BladeTray.vue'
import { useMeasuring, type Measuring } from './useMeasuring'

/** A gap measured, as found or after setting: blades or a typed figure, the verdict as it grows, and the keeping of it. */
const props = defineProps<Measuring & { proved: boolean; resetting: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]]; prove: [] }>()
const figures = useFigures()
const m = useMeasuring(props, (...entries) => emit('say', ...entries))
const { draft, onServer, typed, unit, why, leaving, unproved, offer, doubtful, complaint, needsWhy, ready } = m

const nowText = computed(() => readingText(onServer.value, figures.figure))
const near = computed<[number, number]>(() => [props.point.minMm ?? 0.2, props.point.maxMm ?? 0.4])
const verdict = computed(() => {
  const state = onServer.value?.state
  if (onServer.value?.onFigure) return `On the figure: ${nowText.value}.`
  return state
    ? `${verdictWords[state].replace(/^./, (c) => c.toUpperCase())}: ${nowText.value}.`
    : `Reads ${nowText.value}.`
})
const keepText = computed(() =>
  nowText.value
    ? `Keep ${nowText.value} as ${props.setting ? 'left' : 'found'}`
    : `Keep as ${props.setting ? 'left' : 'found'}`,
)

const keys = [
  { key: '0–9', does: 'type a figure' },
  { key: 'Enter', does: 'keep the figure' },
  { key: 'Backspace', does: 'take the last try back' },
]
useKeys(keys, (event) => {
  if (document.querySelector('.modal.show')) return
  if (event.key === 'Enter' && !isTyping(event) && !['BUTTON', 'A'].includes((event.target as HTMLElement).tagName)) {
    m.keep(doubtful.value)
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
  <div>
    <div v-if="setting" class="advice">
      <p class="verdict">{{ point.advice?.sentence ?? 'Set it to the figure.' }}</p>
      <p class="small soft mb-1">
        Then lock, and measure again.
        <template v-if="point.aimOffMm != null"
          >Left at {{ figures.withUnit(point.aimOffMm) }} it gives the engine about
          {{ hours(point.aimOffHours ?? 0) }} h more; the book says {{ figures.figure(point.setMm) }}.</template
        >
      </p>
    </div>
    <p v-if="!proved && !unproved" class="complaint">
      The stop of {{ spoken(point) }} is not proved.
      <BButton class="btn-plain ms-2" @click="emit('prove')">Find the stop</BButton>
      <BButton class="btn-plain ms-2" @click="unproved = true">Measure without proof</BButton>
    </p>
    <p v-else-if="unproved" class="small soft mb-1">Measured without proof of the position; the record says so.</p>
    <p v-if="!setting && point.worthFiner" class="small soft mb-1">
      Worth a finer figure: a hundredth decides whether this one can stay until the next visit.
    </p>
    <h2 class="ask">
      {{ setting ? 'Locked? Measure again: which blade, how did it feel?' : 'Which blade, how did it feel?' }}
    </h2>
    <BladeTray
      :blades="sheet.tray"
      :unit="sheet.trayUnit"
      :trials="draft?.trials ?? []"
      :near="near"
      :suggest="onServer?.nextBlade?.blades"
      @tried="m.tried"
    />
    <form class="typed" @submit.prevent="m.figure()">
      <label for="typed" class="small soft">or type a figure</label>
      <ClearanceField
        id="typed"
        v-model="typed"
        v-model:unit="unit"
        class="typed-figure"
        @keydown.enter.prevent="onServer && draft?.figure === typed.trim() ? m.keep(doubtful) : m.figure()"
      />
      <BButton class="btn-plain" type="submit" :disabled="!typed.trim()">Read</BButton>
    </form>

    <div v-if="complaint" class="complaint mt-2" role="alert">
      {{ complaint }}
      <BButton v-if="offer" class="btn-plain ms-2" @click="m.otherUnit">Yes, {{ typed }} {{ offer }}</BButton>
      <BButton v-if="doubtful" class="btn-plain ms-2" @click="m.keep(true)">It is so: keep it</BButton>
    </div>
    <p v-if="onServer && nowText" class="verdict mt-2" :class="`is-${onServer.state}`" aria-live="polite">
      <VerdictMark :state="onServer.state" :size="26" />
      {{ verdict }}
      <span v-if="onServer.action === 'measureOn' && onServer.nextBlade" class="small"
        >Next: the {{ onServer.nextBlade.blades.join(' + ') }} blade.</span
      >
      <span v-else-if="onServer.action === 'yours'" class="small"
        >No blade of this tray tells more: yours to decide.</span
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
    <div class="actions">
      <BButton class="btn-act keep" :disabled="!ready" @click="m.keep(doubtful)">{{ keepText }}</BButton>
      <BButton class="btn-plain" :disabled="!draft" @click="m.takeBack">Take back</BButton>
      <template v-if="setting && !draft && !resetting">
        <BButton v-if="!leaving" class="btn-plain" @click="leaving = true">Leave as found…</BButton>
        <template v-else>
          <BButton class="btn-plain" :disabled="!why.trim()" @click="m.leaveSo">Leave as found</BButton>
          <BButton class="btn-plain" @click="leaving = false">Cancel</BButton>
        </template>
      </template>
    </div>
  </div>
</template>

<style scoped>
.advice {
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
}
.ask {
  font-weight: 700;
  font-size: 1.1rem;
  margin: 0.5rem 0 0.4rem;
}
.typed {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  margin-top: 0.5rem;
  flex-wrap: wrap;
}
.typed :deep(.input-group) {
  width: 220px;
}
.actions {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.7rem;
  flex-wrap: wrap;
}
.keep {
  flex: 1 1 220px;
  min-height: 56px;
  font-size: 1.1rem;
}
.actions .btn-plain {
  min-width: 110px;
}
</style>
