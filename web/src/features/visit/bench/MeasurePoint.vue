<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import Field from '../../../shared/fields/Field.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { spoken } from '../../../shared/words/points'
import GrowingVerdict from './GrowingVerdict.vue'
import MeasureHand from './MeasureHand.vue'
import SettingAdvice from './SettingAdvice.vue'
import TriesList from './TriesList.vue'
import { useMeasuring, type Measuring } from './useMeasuring'

/** A gap measured, as found or after setting: what to do, the tries, the verdict as it grows, and below them the hand. */
const props = defineProps<Measuring & { setting: boolean; proved: boolean; figures: Figures }>()
const emit = defineEmits<{ say: [...entries: Entry[]]; prove: [] }>()
const m = useMeasuring(props, (...entries) => emit('say', ...entries))
const { stage, draft, growing, onDial, unit, why, leaving, unproved, needsWhy } = m
const onDialWindow = computed(() => {
  const d = props.point.dial
  const f = (n: number) => (d?.unit === 'thou' ? n.toFixed(1) : n.toFixed(2))
  return d ? `On the dial the window is ${f(d.min)} to ${f(d.max)} ${d.unit}.` : ''
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
    <GrowingVerdict v-if="growing" :growing="growing" :setting="setting" :figures="figures" />
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

    <MeasureHand :m="m" :sheet="sheet" :point="point" :setting="setting" :anew="anew" :figures="figures" />
  </div>
</template>

<style scoped>
/* What it holds stands in the panel itself, so that the hand can stay at the panel's lower edge. */
.measuring {
  display: contents;
}
.actions {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.7rem;
  flex-wrap: wrap;
}
</style>
