<script setup lang="ts">
import { useElementSize, useSwipe } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { bladeMm } from '../../../shared/figures/lengths'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import BladeFeels from './BladeFeels.vue'
import { feels } from './feels'
import { railWindow } from './railBlades'
import type { Felt, Trial } from './useVisit'

/**
 * The tray in size order. One tap for the usual reading: a blade is the one that drags; between two blades the thinner goes and the thicker does
 * not. Another feel is armed first, and a stack is two taps.
 */
const props = defineProps<{
  blades: string[]
  thin: string[]
  unit: string
  trials: Trial[]
  /** The figure expected, mm. */
  around: number
  suggest?: string[] | null
}>()
const emit = defineEmits<{ tried: [...trials: Trial[]] }>()

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const shift = ref(0)
const armed = ref<Felt>('drag')
const stacking = ref(false)
const stack = ref<string[]>([])
/** A thin blade that buckled when pushed: asked whether it moves when pulled. */
const buckled = ref<string[] | null>(null)
const cursor = ref<string | null>(null)

const mm = (blade: string) => bladeMm(blade, props.unit)
const count = computed(() => Math.max(3, Math.min(8, Math.floor((width.value || 560) / 47) - 1)))
const rail = computed(() => railWindow(props.blades, mm, props.around, count.value, shift.value))
watch(
  () => props.around,
  () => (shift.value = 0),
)
useSwipe(box, {
  threshold: 40,
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') move(1)
    if (direction === 'right') move(-1)
  },
})
function move(by: number) {
  if ((by > 0 && rail.value.thickest) || (by < 0 && rail.value.thinnest)) return
  shift.value += by * Math.max(1, count.value - 2)
}

const feltAs = (blade: string) =>
  props.trials
    .filter((t) => t.blades.length === 1 && t.blades[0] === blade)
    .map((t) => feels.find((f) => f.feel === t.feel)?.said)
    .join(', ')

function say(blades: string[], feel: Felt) {
  if (feel === 'heavyDrag' && blades.every((b) => props.thin.includes(b))) {
    buckled.value = blades
    return
  }
  emit('tried', { blades, feel })
  armed.value = 'drag'
  stacking.value = false
  stack.value = []
  buckled.value = null
}
function tap(blade: string) {
  if (!stacking.value) return say([blade], armed.value)
  stack.value = stack.value.includes(blade) ? stack.value.filter((b) => b !== blade) : [...stack.value, blade]
  if (stack.value.length === 2) say(stack.value, armed.value)
}
function between(thinner?: string, thicker?: string) {
  const trials: Trial[] = []
  if (thinner) trials.push({ blades: [thinner], feel: 'free' })
  if (thicker) trials.push({ blades: [thicker], feel: 'noGo' })
  // What was tried already is not tried again.
  emit(
    'tried',
    ...trials.filter((t) => !props.trials.some((p) => p.blades.join() === t.blades.join() && p.feel === t.feel)),
  )
}
/** The gap places: before the first, between neighbours, after the last. */
const gaps = computed(() => {
  const { blades, below, above, thinnest, thickest } = rail.value
  const all = [below, ...blades, above]
  return all.slice(0, -1).map((thinner, i) => {
    const thicker = all[i + 1]
    const text = i === 0 && thinnest ? 'nothing goes' : i === blades.length && thickest ? 'all go' : ''
    const said = !thinner
      ? `Nothing goes in, not even ${thicker}`
      : !thicker
        ? `All go, ${thinner} too`
        : `${thinner} goes, ${thicker} does not`
    return { thinner, thicker, text, said }
  })
})
useKeys(
  [
    { key: '← →', does: 'choose a blade' },
    { key: 'F D X N', does: 'slides free, slight drag, forced, no go' },
  ],
  (event) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const feel = feels.find((f) => f.key.toLowerCase() === event.key.toLowerCase())
    if (feel && cursor.value) say([cursor.value], feel.feel)
    else if (feel) armed.value = feel.feel
    else if (event.key === 'ArrowRight') step(1)
    else if (event.key === 'ArrowLeft') step(-1)
    else return
    event.preventDefault()
  },
)
function step(by: number) {
  const sorted = [...props.blades].sort((a, b) => mm(a) - mm(b))
  const at = cursor.value ? sorted.indexOf(cursor.value) + by : nearest(sorted)
  cursor.value = sorted[Math.min(sorted.length - 1, Math.max(0, at))] ?? null
  if (cursor.value && !rail.value.blades.includes(cursor.value)) move(by)
}
function nearest(sorted: string[]) {
  const aim = props.suggest?.length === 1 ? mm(props.suggest[0]!) : props.around
  return sorted.reduce((best, b, i) => (Math.abs(mm(b) - aim) < Math.abs(mm(sorted[best]!) - aim) ? i : best), 0)
}
</script>

<template>
  <div>
    <!-- What comes and goes stands above the rail, so that the rail stays where it is. -->
    <div
      v-if="suggest && suggest.length > 1"
      class="stacked"
      role="group"
      :aria-label="`${suggest.join(' and ')} stacked`"
    >
      <span
        ><strong class="figure">{{ suggest.join(' + ') }}</strong> stacked tells most:</span
      >
      <button
        v-for="f in feels.filter((g) => g.feel !== 'heavyDrag')"
        :key="f.feel"
        type="button"
        class="btn btn-plain"
        @click="say(suggest!, f.feel)"
      >
        {{ f.said }}
      </button>
    </div>
    <div v-if="buckled" class="complaint mb-2" role="alert">
      {{ buckled.join(' + ') }} is thin and buckles when pushed. Does it move when pulled?
      <button type="button" class="btn btn-plain ms-2" @click="say(buckled!, 'drag')">It moves: it drags</button>
      <button type="button" class="btn btn-plain ms-2" @click="say(buckled!, 'noGo')">It does not: no go</button>
    </div>
    <div ref="box" class="rail" :style="{ '--n': rail.blades.length }">
      <div class="row-blades" role="group" aria-label="Blades">
        <button
          v-for="blade in rail.blades"
          :key="blade"
          type="button"
          class="blade figure"
          :class="{
            chosen: stack.includes(blade) || cursor === blade,
            suggested: suggest?.length === 1 && suggest[0] === blade,
          }"
          @click="tap(blade)"
        >
          {{ blade }}
          <span class="felt">{{ feltAs(blade) }}</span>
          <span v-if="suggest?.length === 1 && suggest[0] === blade" class="visually-hidden"
            >this blade tells most</span
          >
        </button>
      </div>
      <div class="row-gaps" role="group" aria-label="Between two blades">
        <button
          v-for="gap in gaps"
          :key="gap.said"
          type="button"
          class="gap"
          :aria-label="gap.said"
          :title="gap.said"
          @click="between(gap.thinner, gap.thicker)"
        >
          <span v-if="gap.text">{{ gap.text }}</span>
          <svg v-else viewBox="0 0 40 16" width="36" aria-hidden="true">
            <path d="M2 2 V14 M38 2 V14" stroke="currentColor" stroke-width="2" />
            <path d="M9 8 H31" stroke="currentColor" stroke-width="2" stroke-dasharray="3 3" />
          </svg>
        </button>
      </div>
    </div>
    <div class="beside">
      <button
        type="button"
        class="btn btn-plain"
        :disabled="rail.thinnest"
        aria-label="Thinner blades"
        @click="move(-1)"
      >
        ‹
      </button>
      <BladeFeels v-model:armed="armed" v-model:stacking="stacking" @update:stacking="stack = []" />
      <button
        type="button"
        class="btn btn-plain"
        :disabled="rail.thickest"
        aria-label="Thicker blades"
        @click="move(1)"
      >
        ›
      </button>
    </div>
  </div>
</template>

<style scoped src="./bladeRail.css" />
