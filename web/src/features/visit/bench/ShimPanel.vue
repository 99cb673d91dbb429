<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import type { Entry } from '../../../offline/entries'
import { bladeMm, type Unit } from '../../../shared/figures/lengths'
import { useTyped } from '../../../shared/forms/useTyped'
import { useFigures } from '../../../shared/figures/useFigures'
import { knownBy, size, thickness } from '../../../shared/words/shims'
import ShimRead from './ShimRead.vue'
import { useLooseShims } from './useLooseShims'
import type { Point, Visit } from './useVisit'

/** The shim at a point: how thick it is and how that is known, what would bring the gap right, and the change itself. */
const props = defineProps<{ view: Visit; point: Point; setting: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const shim = computed(() => props.point.shim!)
const now = computed(() => shim.value.now)
const thing = computed(() => (shim.value.access === 'puck' ? 'puck' : 'shim'))
const reading = ref(false)
const otherSize = ref(false)
const leaving = ref<'' | 'leftSo' | 'awaiting'>('')
const { typed, forget } = useTyped(`why:${props.view.visitId}:${props.point.label}`, { why: '' })
/** Closed up: any thinner one gives a gap to work from. */
const thinner = computed(() => props.point.advice?.action === 'fitThinnerFirst')
const range = computed(() => props.point.advice?.shim ?? null)
const { here, decided, holding, take, put } = useLooseShims(
  () => props.view,
  () => props.point,
)
const busy = ref(false)
// In the unit of the job.
const figures = useFigures(() => (props.view.sheet?.trayUnit ?? 'mm') as Unit)
const thouJob = computed(() => figures.unit === 'thou')
const sized = (mm: number) => (thouJob.value ? `${thickness(mm, 'thou')} thou (${size(mm)} mm)` : size(mm))
const offers = computed(() => {
  const mm = shim.value.nowMm ?? 0
  if (thinner.value)
    return shim.value.sizesMm
      .filter((s) => s < mm - 0.2)
      .slice(-3)
      .reverse()
  const sizes = range.value?.choiceMm == null ? [] : [range.value.choiceMm, ...range.value.alternativesMm.slice(0, 3)]
  const first = decided.value?.newMm
  return first == null ? sizes : [first, ...sizes.filter((s) => Math.abs(s - first) > 1e-6)]
})
/** Out of the drawer that holds it, so that the drawer knows; what was decided lies on its tray already. */
const outOf = (mm: number) => (mm === decided.value?.newMm ? null : holding(mm))
const bench = computed(() => ({ name: 'shim-bench', query: { visits: props.view.visitId } }))
/** The shim that came out, where no job says where it goes. */
const cameOut = computed(() =>
  shim.value.fitted && !decided.value && !shim.value.planned ? (shim.value.found ?? null) : null,
)
const putAway = ref(false)
async function away(drawer: Schemas['DrawerResponse']) {
  busy.value = true
  putAway.value = await put(drawer, bladeMm(cameOut.value!.thickness, cameOut.value!.unit), awayId)
  busy.value = false
}
const awayId = newId()
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
  emit(
    'say',
    {
      kind: 'outcome',
      point: props.point.label,
      outcome: 'shimFitted',
      old: now.value?.unit === unit ? now.value.thickness : thickness(shim.value.nowMm!, unit),
      new: fitted,
      unit,
      ...(movementId ? { movementId } : {}),
    },
    { kind: 'shimRead', point: props.point.label, stage: 'asLeft', thickness: fitted, unit, how },
  )
}
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
function say() {
  const why = typed.why.trim()
  if (!leaving.value || !why) return
  forget()
  emit('say', { kind: 'outcome', point: props.point.label, outcome: leaving.value, why })
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
    <template
      v-if="
        setting &&
        shim.nowMm != null &&
        (!shim.fitted || (point.advice && !shim.isTrial)) &&
        !point.left &&
        point.advice
      "
    >
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
          >{{ sized(mm) }} fitted{{ mm === decided?.newMm ? `, ${decided.from}` : thinner ? ', to get a gap' : ''
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
      <p class="small soft mt-1 mb-1">
        {{
          shim.access === 'onTop'
            ? 'Depressor on, oil the shim, mark downwards. A size tapped here counts as printed: read it by micrometer above.'
            : shim.access === 'puck'
              ? 'Clean puck and tip; measure again before half a thou is believed.'
              : decided
                ? 'Shim, bucket and bore clean; each on its own place of the tray.'
                : 'The camshaft comes out for this one: measure and work out all of them first.'
        }}
      </p>
      <div class="d-flex gap-2 flex-wrap">
        <BButton class="btn-plain" @click="leaving = 'awaiting'">It waits for the {{ thing }}…</BButton>
        <BButton class="btn-plain" @click="leaving = 'leftSo'">Leave as found…</BButton>
      </div>
      <form v-if="leaving" class="d-flex gap-2 mt-2" @submit.prevent="say">
        <BFormInput v-model="typed.why" :aria-label="leaving === 'awaiting' ? 'What it waits for' : 'Why it is left'" />
        <BButton type="submit" class="btn-plain" :disabled="!typed.why.trim()">{{
          leaving === 'awaiting' ? 'Waits' : 'Left as found'
        }}</BButton>
      </form>
    </template>
    <p v-if="cameOut && here.length && !putAway" class="small d-flex gap-2 flex-wrap align-items-center mt-1 mb-1">
      {{ cameOut.thickness }} {{ cameOut.unit }} came out. Into
      <BButton v-for="d in here" :key="d.id" class="btn-plain" :disabled="busy" @click="away(d)">{{ d.name }}</BButton>
    </p>
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
