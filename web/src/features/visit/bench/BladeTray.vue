<script setup lang="ts">
import { computed, ref } from 'vue'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import { mmPerThou } from '../../../shared/figures/lengths'
import type { Felt, Trial } from './useVisit'

/** Tap the blade, tap how it felt. Two blades tapped with "stack" on are one thickness. */
const props = defineProps<{
  blades: string[]
  unit: string
  trials: Trial[]
  near: [number, number]
  suggest?: string[] | null
}>()
const emit = defineEmits<{ tried: [trial: Trial] }>()

const selected = ref<string[]>([])
const stacking = ref(false)
const all = ref(false)
const mm = (blade: string) => Number(blade.replace(',', '.')) * (props.unit === 'thou' ? mmPerThou : 1)
const few = computed(() => {
  if (all.value || props.blades.length <= 16) return props.blades
  // Sixteen keys fit two rows; the ones round the window and round the figure expected are wanted.
  const centre = (props.near[0] + props.near[1]) / 2
  const wanted = new Set(
    [...props.blades].sort((a, b) => Math.abs(mm(a) - centre) - Math.abs(mm(b) - centre)).slice(0, 16),
  )
  return props.blades.filter((b) => wanted.has(b) || selected.value.includes(b))
})
const feels: { feel: Felt; text: string; key: string; said: string }[] = [
  { feel: 'free', text: 'Slides free', key: 'F', said: 'free' },
  { feel: 'drag', text: 'Slight drag', key: 'D', said: 'drag' },
  { feel: 'heavyDrag', text: 'Forced', key: 'X', said: 'forced' },
  { feel: 'noGo', text: 'No go', key: 'N', said: 'no go' },
]
const feltAs = (blade: string) =>
  props.trials
    .filter((t) => t.blades.length === 1 && t.blades[0] === blade)
    .map((t) => feels.find((f) => f.feel === t.feel)?.said)
    .join(', ')
const total = computed(() => selected.value.reduce((sum, b) => sum + Number(b.replace(',', '.')), 0))

function pick(blade: string) {
  if (stacking.value)
    selected.value = selected.value.includes(blade)
      ? selected.value.filter((b) => b !== blade)
      : [...selected.value, blade]
  else selected.value = selected.value[0] === blade && selected.value.length === 1 ? [] : [blade]
}
function felt(feel: Felt) {
  if (selected.value.length === 0) return
  emit('tried', { blades: [...selected.value], feel })
  selected.value = []
  stacking.value = false
}
function step(by: number) {
  const at = props.blades.indexOf(selected.value[0] ?? '')
  const start = at < 0 ? nearestIndex() : at + by
  const blade = props.blades[Math.min(props.blades.length - 1, Math.max(0, start))]
  if (blade) selected.value = [blade]
}
function nearestIndex() {
  const suggested = props.suggest?.[0]
  const aim = suggested ? mm(suggested) : (props.near[0] + props.near[1]) / 2
  return props.blades.reduce(
    (best, b, i) => (Math.abs(mm(b) - aim) < Math.abs(mm(props.blades[best] ?? '0') - aim) ? i : best),
    0,
  )
}
useKeys(
  [
    { key: '← →', does: 'choose a blade' },
    { key: 'F D X N', does: 'slides free, slight drag, forced, no go' },
  ],
  (event) => {
    if (isTyping(event)) return
    const feel = feels.find((f) => f.key.toLowerCase() === event.key.toLowerCase())
    if (feel) felt(feel.feel)
    else if (event.key === 'ArrowRight') step(1)
    else if (event.key === 'ArrowLeft') step(-1)
    else return
    event.preventDefault()
  },
)
</script>

<template>
  <div>
    <div class="blades" role="group" aria-label="Blades">
      <button
        v-for="blade in few"
        :key="blade"
        type="button"
        class="blade figure"
        :class="{ chosen: selected.includes(blade), suggested: suggest?.includes(blade) }"
        :aria-pressed="selected.includes(blade)"
        @click="pick(blade)"
      >
        {{ blade }}
        <span class="felt">{{ feltAs(blade) }}</span>
        <span v-if="suggest?.includes(blade)" class="visually-hidden">
          {{ suggest.length > 1 ? 'these two, stacked, decide soonest' : 'this blade decides soonest' }}
        </span>
      </button>
    </div>
    <div class="feels" role="group" aria-label="How did it feel?">
      <button
        v-for="f in feels"
        :key="f.feel"
        type="button"
        class="feel"
        :disabled="selected.length === 0"
        @click="felt(f.feel)"
      >
        {{ f.text }}
        <span class="key">{{ f.key }}</span>
      </button>
    </div>
    <p class="small soft mb-0 mt-1 d-flex gap-3 flex-wrap">
      <span v-if="selected.length">
        {{
          selected.length > 1
            ? `stack of ${selected.join(' + ')} = ${total.toFixed(unit === 'thou' ? 1 : 2)}`
            : selected[0]
        }}
        {{ unit }}: how did it feel?
      </span>
      <span v-else>{{ unit }} blades: tap one, then how it felt.</span>
    </p>
    <div class="d-flex gap-2 mt-1 flex-wrap">
      <button type="button" class="btn btn-plain" :aria-pressed="stacking" @click="stacking = !stacking">
        Stack blades
      </button>
      <button v-if="blades.length > 16" type="button" class="btn btn-plain" :aria-pressed="all" @click="all = !all">
        Whole set
      </button>
    </div>
  </div>
</template>

<style scoped>
.blades {
  display: grid;
  grid-template-columns: repeat(8, minmax(44px, 1fr));
  gap: 6px;
}
.blade {
  height: 54px;
  border: 1.4px solid var(--ink);
  border-radius: 3px;
  background: var(--plate);
  color: var(--ink);
  font-size: 1.1rem;
  padding: 0;
  line-height: 1.1;
  white-space: nowrap;
}
.blade.suggested {
  border-width: 3px;
  border-style: double;
  border-color: var(--blue);
}
.blade.chosen {
  background: var(--blue-wash);
  border-color: var(--blue);
  box-shadow: inset 0 0 0 1px var(--blue);
}
.felt {
  display: block;
  font-size: 0.78rem;
  font-family: var(--sans);
  color: var(--ink-soft);
  min-height: 0.8rem;
}
.feels {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
  margin-top: 8px;
}
.feel {
  position: relative;
  height: 52px;
  border: 1.4px solid var(--ink);
  border-radius: 3px;
  background: var(--plate);
  color: var(--ink);
  font-weight: 700;
}
.feel:disabled {
  border-color: var(--hairline);
  color: var(--ink-soft);
}
.feel:not(:disabled):hover {
  background: var(--blue);
  color: var(--on-blue);
  border-color: var(--blue);
}
.key {
  position: absolute;
  right: 6px;
  bottom: 2px;
  font-size: 0.75rem;
  font-weight: 400;
}
@media (max-width: 1100px) {
  .blade {
    font-size: 1rem;
    letter-spacing: -0.02em;
  }
}
@media (max-width: 600px) {
  .blades {
    grid-template-columns: repeat(4, minmax(44px, 1fr));
  }
  .feels {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
