<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { hours } from '../../../shared/figures/hours'
import { bladeMm } from '../../../shared/figures/lengths'
import type { Figures } from '../../../shared/figures/useFigures'
import type { Point, Sheet, Trial } from './useVisit'

/** What to do to a point that is to be set, in the manner of whoever sets it. */
const props = defineProps<{ sheet: Sheet; point: Point; figures: Figures; locked: boolean }>()
defineEmits<{ tried: [trial: Trial] }>()

const mm = (blade: string) => bladeMm(blade, props.sheet.trayUnit)
const screws = computed(() => ['screw', 'engine-brake screw'].includes(props.point.adjuster))
/** The blade of the figure, where the tray has it. */
const setBlade = computed(() => props.sheet.tray.find((b) => Math.abs(mm(b) - (props.point.setMm ?? -1)) < 1e-6))
const sizeUp = computed(
  () =>
    [...props.sheet.tray].sort((a, b) => mm(a) - mm(b)).find((b) => mm(b) > (props.point.setMm ?? 99) + 1e-6) ?? null,
)
const figure = computed(() => props.figures.withUnit(props.point.setMm))
</script>

<template>
  <div class="advice">
    <p v-if="point.dial" class="verdict">{{ point.dial.sentence }}</p>
    <p v-else class="verdict">
      {{
        point.found || point.beforeLock ? (point.advice?.sentence ?? `Set it to ${figure}.`) : `Set it to ${figure}.`
      }}
    </p>
    <template v-if="screws && sheet.manner === 'bladeIn' && !point.dial">
      <p class="mb-1">
        Leave the {{ setBlade ?? figure }} blade in while you tighten the locknut. What it does then is the as-left.
      </p>
      <BButton v-if="setBlade" class="btn-act w-100 mb-1" @click="$emit('tried', { blades: [setBlade], feel: 'drag' })"
        >Locked: {{ setBlade }} drags</BButton
      >
    </template>
    <p v-else-if="screws && sheet.manner === 'oneSizeUp' && sizeUp && !point.dial" class="mb-1">
      Aid: set it snug on {{ sizeUp }}; then {{ setBlade ?? figure }} slides with a trace of drag. {{ sizeUp }} is never
      the as-left.
    </p>
    <p class="small soft mb-1">
      <template v-if="!locked && point.locks && sheet.manner !== 'bladeIn'"
        >Then lock{{ point.lockTorque ? ` (${point.lockTorque})` : '' }}, and measure again.
      </template>
      <template v-if="point.creepMm != null && screws"
        >Your locknuts {{ point.creepMm < 0 ? 'close' : 'open' }} it by {{ figures.withUnit(Math.abs(point.creepMm)) }},
        from {{ point.creepPairs }} of yours on this type.
      </template>
      <template v-if="point.aimOffMm != null"
        >Left at {{ figures.withUnit(point.aimOffMm) }} it gives the engine about {{ hours(point.aimOffHours ?? 0) }} h
        more; the book says {{ figures.figure(point.setMm) }}.</template
      >
    </p>
  </div>
</template>

<style scoped>
.advice {
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
}
</style>
