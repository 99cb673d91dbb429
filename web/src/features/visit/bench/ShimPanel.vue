<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import type { Entry } from '../../../offline/entries'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { knownBy, shimWord, size } from '../../../shared/words/shims'
import ShimCameOut from './ShimCameOut.vue'
import ShimOffer from './ShimOffer.vue'
import ShimRead from './ShimRead.vue'
import type { Point, Visit } from './useVisit'

/** The shim at a point: how thick it is and how that is known, what would bring the gap right, and the change itself. */
const props = defineProps<{ view: Visit; point: Point; setting: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const shim = computed(() => props.point.shim!)
const now = computed(() => shim.value.now)
const thing = computed(() => shimWord(shim.value.access))
const reading = ref(false)
// In the unit of the job.
const figures = useFigures(() => (props.view.sheet?.trayUnit ?? 'mm') as Unit)
/** Another one is due, and it is known what is in there. */
const offers = computed(
  () =>
    props.setting &&
    shim.value.nowMm != null &&
    !!props.point.advice &&
    !(shim.value.fitted && shim.value.isTrial) &&
    !props.point.left,
)
function read(seen: string, how: Schemas['ShimKnownBy'], unit: Unit) {
  reading.value = false
  emit('say', {
    kind: 'shimRead',
    point: props.point.label,
    stage: shim.value.fitted ? 'asLeft' : 'asFound',
    thickness: seen,
    unit,
    how,
  })
}
</script>

<template>
  <div class="shim">
    <div class="now">
      <svg viewBox="0 0 64 26" width="64" height="26" aria-hidden="true">
        <rect x="2" y="5" width="60" height="16" rx="3" fill="none" stroke="currentColor" stroke-width="2" />
        <line v-if="shim.access !== 'puck'" x1="14" y1="21" x2="50" y2="21" stroke="currentColor" stroke-width="4" />
      </svg>
      <p v-if="shim.nowMm != null" class="mb-0">
        <strong class="figure">{{ now?.thickness ?? size(shim.nowMm) }} {{ now?.unit ?? 'mm' }}</strong>
        {{ now ? knownBy[now.how] : shim.planned && !shim.fitted ? 'as the first visit knew it' : 'as said'
        }}<template v-if="shim.mark && shim.mark !== now?.thickness"> · marked {{ shim.mark }}</template
        ><template v-if="shim.fitted && shim.found">
          · {{ shim.found.thickness }} {{ shim.found.unit }} came out</template
        >
      </p>
      <p v-else class="mb-0">
        {{ setting ? `Which ${thing} is in there?` : `The ${thing} in there is not read yet.` }}
      </p>
      <BButton v-if="!reading && (shim.nowMm != null || !setting)" class="btn-plain ms-auto" @click="reading = true"
        >Read it…</BButton
      >
    </div>
    <ShimRead
      v-if="reading || (setting && shim.nowMm == null)"
      :sizes="shim.sizesMm"
      :marks="view.context?.type.shimMarks ?? null"
      :job-unit="view.sheet?.trayUnit ?? 'mm'"
      :label="`Thickness of the ${thing}`"
      submit="Read"
      @read="read"
    />
    <ShimOffer v-if="offers" :view="view" :point="point" @say="(...entries) => emit('say', ...entries)" />
    <ShimCameOut v-if="shim.fitted && shim.found && !shim.planned" :view="view" :point="point" />
    <p v-if="shim.cleanAgain && shim.expectedMm != null" class="complaint mt-2" role="status">
      {{ figures.both(shim.expectedMm) }} was expected with this {{ thing }}. Clean {{ thing }} and seat, see that it
      lies flat, and measure again before it is believed.
    </p>
    <p v-else-if="setting && shim.fitted && !shim.isTrial && shim.expectedMm != null" class="small soft mt-2 mb-1">
      {{ figures.both(shim.expectedMm) }} is expected with this {{ thing }}.
    </p>
    <p v-if="setting && shim.fitted && shim.isTrial" class="verdict mt-2">
      Measure it with this one; the right one follows from the gap.
    </p>
  </div>
</template>

<style scoped>
.shim {
  clear: both;
  border-top: 1px solid var(--hairline);
  padding-top: 0.5rem;
  margin-top: 0.4rem;
}
.now {
  display: flex;
  align-items: center;
  gap: 0.7rem;
  min-height: 44px;
  flex-wrap: wrap;
}
</style>
