<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import type { Entry } from '../../../offline/entries'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { useTyped } from '../../../shared/forms/useTyped'
import { shimWord, size, thickness } from '../../../shared/words/shims'
import ShimRead from './ShimRead.vue'
import { useLooseShims } from './useLooseShims'
import type { Point, Visit } from './useVisit'

/** The sizes that would do, each as one tap once it is in; another size, or why none goes in today. */
const props = defineProps<{ view: Visit; point: Point }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const shim = computed(() => props.point.shim!)
const thing = computed(() => shimWord(shim.value.access))
const range = computed(() => props.point.advice?.shim ?? null)
const otherSize = ref(false)
const leaving = ref<'' | 'leftSo' | 'awaiting'>('')
const { typed, forget } = useTyped(`why:${props.view.visitId}:${props.point.label}`, { why: '' })
const { decided, holding, take } = useLooseShims(
  () => props.view,
  () => props.point,
)
const busy = ref(false)
const figures = useFigures(() => (props.view.sheet?.trayUnit ?? 'mm') as Unit)
const thouJob = computed(() => figures.unit === 'thou')
const sized = (mm: number) => (thouJob.value ? `${thickness(mm, 'thou')} thou (${size(mm)} mm)` : size(mm))
const toGetAGap = computed(() => shim.value.trialsMm.length > 0)
const offers = computed(() => {
  if (toGetAGap.value) return shim.value.trialsMm
  const sizes = range.value?.choiceMm == null ? [] : [range.value.choiceMm, ...range.value.alternativesMm.slice(0, 3)]
  const first = decided.value?.newMm
  return first == null ? sizes : [first, ...sizes.filter((s) => Math.abs(s - first) > 1e-6)]
})
/** Out of the drawer that holds it, so that the drawer knows; what was decided lies on its tray already. */
const outOf = (mm: number) => (mm === decided.value?.newMm ? null : holding(mm))
const bench = computed(() => ({ name: 'shim-bench', query: { visits: props.view.visitId } }))
const care = computed(() => {
  if (shim.value.access === 'onTop')
    return 'Depressor on, oil the shim, mark downwards. A size tapped here counts as printed: read it by micrometer above.'
  if (shim.value.access === 'puck') return 'Clean puck and tip; measure again before half a thou is believed.'
  return decided.value
    ? 'Shim, bucket and bore clean; each on its own place of the tray.'
    : 'The camshaft comes out for this one: measure and work out all of them first.'
})
/** The drawer did not give it; whoever has one in the hand all the same says so. */
const notGiven = ref<{ mm: number; why: string } | null>(null)
async function fitOut(mm: number) {
  const lies = outOf(mm)
  notGiven.value = null
  if (!lies) return fit(size(mm), mm === decided.value?.newMm ? 'micrometer' : 'printed')
  busy.value = true
  const taken = await take(lies)
  busy.value = false
  if ('refused' in taken) notGiven.value = { mm, why: taken.refused }
  else fit(size(mm), lies.held.knownBy, 'mm', taken.movement)
}

/** Out and in are written in one unit: that of the one that went in. */
function fit(fitted: string, how: Schemas['ShimKnownBy'], unit: Unit = 'mm', movementId?: string | null) {
  otherSize.value = false
  const now = shim.value.now
  emit(
    'say',
    {
      kind: 'outcome',
      point: props.point.label,
      outcome: 'shimFitted',
      old: now?.unit === unit ? now.thickness : thickness(shim.value.nowMm!, unit),
      new: fitted,
      unit,
      ...(movementId ? { movementId } : {}),
    },
    { kind: 'shimRead', point: props.point.label, stage: 'asLeft', thickness: fitted, unit, how },
  )
}
function leave() {
  const why = typed.why.trim()
  if (!leaving.value || !why) return
  forget()
  emit('say', { kind: 'outcome', point: props.point.label, outcome: leaving.value, why })
}
</script>

<template>
  <div>
    <p class="verdict mt-2">{{ point.advice?.sentence }}</p>
    <p v-if="range && range.surelyFrom != null && range.surelyTo! > range.surelyFrom + 1e-6" class="small soft mb-1">
      {{ sized(range.surelyFrom) }} to {{ sized(range.surelyTo!) }}{{ thouJob ? '' : ' mm' }}
      <template v-if="range.mayTo - range.surelyTo! > 1e-6"
        >surely do; {{ sized(range.mayFrom) }} to {{ sized(range.mayTo) }} may.</template
      ><template v-else>would do.</template>
    </p>
    <div v-if="offers.length" class="d-flex gap-2 flex-wrap">
      <BButton
        v-for="(mm, i) in offers"
        :key="mm"
        :class="i ? 'btn-plain' : 'btn-act'"
        :disabled="busy"
        @click="fitOut(mm)"
        >{{ sized(mm) }} fitted{{ mm === decided?.newMm ? `, ${decided!.from}` : toGetAGap ? ', to get a gap' : ''
        }}{{ outOf(mm) ? `, out of ${outOf(mm)!.drawer.name}` : '' }}</BButton
      >
      <BButton class="btn-plain" @click="otherSize = !otherSize">Another size…</BButton>
    </div>
    <p v-if="!decided" class="small mb-1 mt-2">
      <RouterLink :to="bench">The shim bench</RouterLink> decides the whole engine at once: swaps first, then the
      drawer, then what is bought.
    </p>
    <p v-if="notGiven" class="complaint mt-2 mb-1" role="alert">
      {{ notGiven.why }}
      <button type="button" class="text-link" @click="fit(size(notGiven.mm), 'printed')">
        {{ sized(notGiven.mm) }} is in all the same
      </button>
    </p>
    <ShimRead
      v-if="otherSize || !offers.length"
      :sizes="shim.sizesMm"
      :marks="view.context?.type.shimMarks ?? null"
      :job-unit="view.sheet?.trayUnit ?? 'mm'"
      :label="`The ${thing} that went in`"
      submit="Fitted"
      @read="fit"
    />
    <p class="small soft mt-1 mb-1">{{ care }}</p>
    <div class="d-flex gap-2 flex-wrap">
      <BButton class="btn-plain" @click="leaving = 'awaiting'">It waits for the {{ thing }}…</BButton>
      <BButton class="btn-plain" @click="leaving = 'leftSo'">Leave as found…</BButton>
    </div>
    <form v-if="leaving" class="d-flex gap-2 mt-2" @submit.prevent="leave">
      <BFormInput v-model="typed.why" :aria-label="leaving === 'awaiting' ? 'What it waits for' : 'Why it is left'" />
      <BButton type="submit" class="btn-plain" :disabled="!typed.why.trim()">{{
        leaving === 'awaiting' ? 'Waits' : 'Left as found'
      }}</BButton>
    </form>
  </div>
</template>
