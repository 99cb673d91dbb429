<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { call } from '../../../core/call'
import { useTitle } from '../../../shared/address/useTitle'
import Field from '../../../shared/fields/Field.vue'
import NumberField from '../../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../../shared/figures/typedNumber'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { useVisit } from '../bench/useVisit'

/** A paper tape in true scale round the pulley: every stop a mark, where the engine has none. A printed line of 100 mm tells whether the printer kept the scale. */
const props = defineProps<{ id: string }>()
const { query, view, sheet } = useVisit(
  () => props.id,
  () => '',
)
useTitle(() => view.value && `Rim tape, ${view.value.context?.engine.name}`)
const typed = ref('')
watch(
  view,
  (now) => {
    const known = now?.context?.type.pulleyMm
    if (known && !typed.value) typed.value = String(known)
  },
  { immediate: true },
)
const diameter = computed(() => typedNumber(typed.value) ?? null)
const said = ref('')
interface Mark {
  mm: number
  text: string
}
const marks = ref<Mark[]>([])
const round = ref(0)
/** Stops by the turn they share a place in: the mark comes up on both laps. */
const places = computed(() => {
  const at = new Map<number, string[]>()
  for (const stop of sheet.value?.stops ?? []) {
    if (stop.crankDeg == null) continue
    const deg = Math.round((stop.crankDeg % 360) * 1000) / 1000
    at.set(deg, [
      ...(at.get(deg) ?? []),
      stop.compressionCylinder != null ? `${stop.compressionCylinder}` : `stop ${stop.index + 1}`,
    ])
  }
  return [...at].sort((a, b) => a[0] - b[0])
})
watch(
  [diameter, places],
  async () => {
    if (diameter.value == null || places.value.length === 0) {
      marks.value = []
      return
    }
    try {
      const of = async (degrees: number) =>
        (await call('rim', { diameterMm: diameter.value, degrees, distanceMm: null })).distanceMm
      round.value = await of(360)
      marks.value = await Promise.all(
        places.value.map(async ([deg, names]) => ({ mm: await of(deg), text: names.join(' / ') })),
      )
      said.value = ''
    } catch (error) {
      said.value = error instanceof Error ? error.message : ''
      marks.value = []
    }
  },
  { immediate: true },
)
const stripMm = 180
const strips = computed(() => {
  const count = Math.ceil((round.value + 10) / stripMm)
  return Array.from({ length: round.value ? count : 0 }, (_, i) => ({
    from: i * stripMm,
    to: Math.min(round.value, (i + 1) * stripMm),
    marks: [...marks.value, { mm: round.value, text: 'meets 0' }].filter(
      (m) => m.mm >= i * stripMm && (m.mm < (i + 1) * stripMm || (m.mm === round.value && i === count - 1)),
    ),
  }))
})
const print = () => window.print()
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet" class="page">
      <PaperHead what="Rim tape" />
      <div class="page-head">
        <h1>{{ view.context?.engine.name }}: rim tape</h1>
        <div class="d-flex gap-2 no-print">
          <BButton class="btn-act" :disabled="!strips.length" @click="print">Print</BButton>
          <BButton class="btn-plain" :to="{ name: 'visit', params: { id } }">Back to the bench</BButton>
        </div>
      </div>
      <Field
        v-slot="{ bind }"
        class="no-print diameter"
        label="Diameter of the rim"
        :complaint="notANumber(typed) ?? (said || undefined)"
        hint="Where the tape lies, measured across."
      >
        <NumberField v-bind="bind" v-model="typed" unit="mm" />
      </Field>
      <p v-if="!places.length" class="complaint">
        This way of working has no stops to mark. Choose one with stops, such as two stops.
      </p>
      <template v-else-if="strips.length">
        <p>
          Print without scaling. Lay it round against the running direction ({{ view.context?.type.rotation }}), 0 at
          the mark that is up with {{ sheet.firingOrder[0] }} at TDC. It goes round once in {{ round.toFixed(1) }} mm.
        </p>
        <svg width="110mm" height="12mm" viewBox="0 0 110 12" class="d-block mb-2">
          <path d="M1 3 V9 M101 3 V9 M1 6 H101" stroke="currentColor" stroke-width="0.3" fill="none" />
          <text x="51" y="4.6" font-size="3.2" text-anchor="middle">100 mm: measure it before you trust the tape</text>
        </svg>
        <svg
          v-for="strip in strips"
          :key="strip.from"
          width="190mm"
          height="22mm"
          viewBox="-4 0 190 22"
          class="d-block strip"
          role="img"
          :aria-label="`Tape from ${strip.from} mm`"
        >
          <rect
            x="0"
            y="1"
            :width="strip.to - strip.from"
            height="18"
            fill="none"
            stroke="currentColor"
            stroke-width="0.2"
          />
          <g v-for="tick in Math.floor((strip.to - strip.from) / 10) + 1" :key="tick">
            <line
              :x1="(tick - 1) * 10"
              :x2="(tick - 1) * 10"
              y1="16.5"
              y2="19"
              stroke="currentColor"
              stroke-width="0.15"
            />
          </g>
          <g v-for="m in strip.marks" :key="m.mm" :transform="`translate(${m.mm - strip.from} 0)`">
            <line x1="0" x2="0" y1="1" y2="13" stroke="currentColor" stroke-width="0.5" />
            <text x="1" y="7" font-size="5" font-weight="700">{{ m.text }}</text>
            <text x="1" y="11.5" font-size="2.8">{{ m.mm.toFixed(1) }} mm</text>
          </g>
          <text :x="(strip.to - strip.from) / 2" y="21.6" font-size="2.6" text-anchor="middle">
            {{ strip.from.toFixed(0) }} to {{ strip.to.toFixed(1) }} mm; glue the next one here
          </text>
        </svg>
      </template>
    </main>
  </Loaded>
</template>

<style scoped>
.diameter {
  max-width: 280px;
}
svg text {
  fill: currentColor;
}
.strip {
  break-inside: avoid;
  max-width: none;
}
</style>
