<script setup lang="ts">
import { vBTooltip } from 'bootstrap-vue-next/directives/BTooltip'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useFigures } from '../../shared/figures/useFigures'
import { banksOf } from '../../instruments/banksOf'
import GapStrip from '../../instruments/GapStrip.vue'
import { letterOf } from '../../shared/words/points'
import StateMark from '../../instruments/StateMark.vue'

type Point = Schemas['EnginePointResponse']
const props = defineProps<{ points: Point[]; picked?: string }>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures()

const banks = computed(() => banksOf(props.points))
const letter = (p: Point) => letterOf(p.label).slice(0, 3)
/** What a figure rests on, for whoever asks. */
const says = (p: Point) =>
  [
    p.lastMm != null ? `Last ${figures.both(p.lastMm)}` : 'Never measured',
    p.expectedMm != null
      ? `expected today ${figures.rough(p.expectedMm)} ± ${figures.rough(p.expectedSdMm)} ${figures.unit}`
      : '',
    p.rate
      ? `${p.rate.mmPer1000h < 0 ? 'closing' : 'opening'} ${figures.rate(p.rate.mmPer1000h)} ± ${figures.rate(p.rate.standardErrorMmPer1000h)} a 1000 h`
      : '',
    p.unlikeSiblings ? 'unlike its siblings' : '',
  ]
    .filter(Boolean)
    .join('; ')
/** Injectors and engine brakes: set by the book, in no trend. */
const isByBook = (p: Point) => p.kind === 'injector' || p.kind === 'engineBrake'
const state = (p: Point) => (p.shownState === 'tight' || p.shownState === 'loose' ? p.shownState : null)
</script>

<template>
  <section class="plate p-3" aria-label="Heads from above">
    <div class="d-flex justify-content-between small soft mb-2">
      <span class="caps text-nowrap me-2">◂ Front</span>
      <span>expected today, or as found where it stands out; {{ figures.unit }} · press a point for its history</span>
    </div>
    <template v-for="(bank, b) in banks" :key="b">
      <div v-if="b > 0" class="crank" aria-hidden="true" />
      <div class="bank">
        <div v-for="c in bank" :key="c.cylinder" class="cylinder">
          <span class="number">{{ c.cylinder }}</span>
          <button
            v-for="p in c.points"
            :key="p.id"
            v-b-tooltip.hover.focus="says(p)"
            type="button"
            class="point"
            :class="[state(p) ? `is-${state(p)}` : '', { picked: p.label === picked }]"
            :data-point="p.label"
            @click="$emit('pick', p.label)"
          >
            <span class="visually-hidden">{{ p.cylinder }}</span>
            <span class="letter">{{ letter(p) }}</span>
            <span v-if="isByBook(p)" class="small soft">by the book, no trend</span>
            <GapStrip
              v-else
              aria-hidden="true"
              :min="p.minMm"
              :max="p.maxMm"
              :set="p.setMm"
              :left="p.shownMm"
              :state="state(p)"
              :label="p.label"
            />
            <span class="figure">{{ isByBook(p) ? '' : figures.rough(p.shownMm) }}</span>
            <span class="visually-hidden">{{ says(p) }}</span>
            <StateMark :state="state(p)" :size="15" />
          </button>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
/* One line a bank, as it lies in the machine; what does not fit is scrolled. */
.bank {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(112px, 1fr);
  gap: 7px;
  overflow-x: auto;
  position: relative;
  scrollbar-width: thin;
}
.crank {
  border-top: 2px dotted var(--line);
  margin: 0.8rem 0;
}
.cylinder {
  background: var(--ground);
  border: 1px solid var(--hairline);
  border-radius: 3px;
  padding: 0.4rem 0.3rem;
  min-width: 0;
}
.number {
  display: inline-flex;
  width: 30px;
  height: 30px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  background: var(--plate);
  align-items: center;
  justify-content: center;
  font-weight: 700;
  margin-bottom: 0.2rem;
}
.point {
  display: grid;
  grid-template-columns: auto minmax(20px, 1fr) auto 16px;
  align-items: center;
  gap: 0.35rem;
  width: 100%;
  min-height: 44px;
  background: none;
  border: 1px solid transparent;
  border-radius: 3px;
  color: inherit;
  padding: 0 0.25rem;
  text-align: left;
}
.point.picked {
  background: var(--plate);
  border-color: var(--blue);
}
.letter {
  font-weight: 700;
}
.point .figure {
  white-space: nowrap;
}
.is-tight {
  color: var(--tight);
}
.is-loose {
  color: var(--loose);
}
</style>
