<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refusal, sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import Field from '../../app/Field.vue'
import { notANumber, typedNumber } from '../../app/numbers'
import HeadMap from '../../instruments/HeadMap.vue'
import LiftChart from '../../instruments/LiftChart.vue'
import { adjusterNames, methodNames } from './bookWords'
import PlanText from './PlanText.vue'
import SpecFields from './SpecFields.vue'
import { emptySpec, specRequest } from './specForm'

const router = useRouter()
const client = useQueryClient()
const kept = 'zd-new-type'
const form = reactive({
  id: newId(),
  code: '',
  name: '',
  cycle: 'fourStroke' as Schemas['EngineCycle'],
  firingOrder: '1 3 4 2',
  angles: '',
  timing: '',
  guard: '15',
  banks: '1 2 3 4',
  layout: 'E I I E E I I E',
  adjuster: 'screwAtValve' as Schemas['AdjusterKind'],
  pitch: '1',
  ratio: '1',
  opensClockwise: false,
  method: 'twoStop' as Schemas['TurningMethod'],
  stops: '',
  rotation: 'clockwise seen from the front',
  tool: 'socket on the crank nut',
  toolTurns: '1',
  bookHours: '',
  bookMonths: '',
  firstCheck: '',
  breakIn: '',
  jobHours: '4',
  spec: emptySpec(),
})
// A half-typed type survives a closed tab.
try {
  Object.assign(form, JSON.parse(localStorage.getItem(kept) ?? '{}'))
} catch {
  localStorage.removeItem(kept)
}
watch(form, () => localStorage.setItem(kept, JSON.stringify(form)))

const list = (text: string) =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')))
/** One stop a line: crank degrees, then its points: 0: 1I 1E 2I 3E */
const stops = computed(() =>
  form.stops
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [degrees, points] = line.split(':')
      return {
        crankDeg: Number((degrees ?? '').replace('°', '').trim()),
        points: (points ?? '').split(/[\s,]+/).filter(Boolean),
      }
    }),
)
const timing = computed(() => (form.timing.trim() ? list(form.timing) : null))
const localComplaints = computed<Record<string, string | undefined>>(() => ({
  pitchMm: notANumber(form.pitch),
  clearancePerTravel: notANumber(form.ratio),
  rampGuardDeg: notANumber(form.guard),
  toolTurnsPerCrankTurn: notANumber(form.toolTurns),
  bookHours: notANumber(form.bookHours),
  bookMonths: notANumber(form.bookMonths),
  firstCheckHours: notANumber(form.firstCheck),
  breakInHours: notANumber(form.breakIn),
  jobHours: notANumber(form.jobHours),
  valveTiming:
    timing.value && (timing.value.length !== 4 || timing.value.some(Number.isNaN))
      ? 'Give four figures: intake opens, intake closes, exhaust opens, exhaust closes; or leave it empty.'
      : undefined,
  bookStops:
    form.method === 'book' && stops.value.some((s) => Number.isNaN(s.crankDeg))
      ? 'Each line needs its crank degrees, a colon and its points, such as 0: 1I 1E 2I 3E.'
      : undefined,
  firingAnglesDeg:
    form.angles.trim() && list(form.angles).some(Number.isNaN)
      ? 'Give the angles as numbers, such as 0 270.'
      : undefined,
}))
const hasLocal = computed(() => Object.values(localComplaints.value).some(Boolean))
const request = computed<Schemas['EngineTypeRequest']>(() => ({
  id: form.id,
  code: form.code || null,
  name: form.name || null,
  cycle: form.cycle,
  firingOrder: form.firingOrder,
  firingAnglesDeg: form.angles.trim() ? list(form.angles) : null,
  timing:
    timing.value && timing.value.length === 4 && form.cycle === 'fourStroke'
      ? { ivoBtdc: timing.value[0], ivcAbdc: timing.value[1], evoBbdc: timing.value[2], evcAtdc: timing.value[3] }
      : null,
  rampGuardDeg: typedNumber(form.guard) ?? null,
  banks: form.banks || null,
  layout: form.layout || null,
  adjuster: form.adjuster,
  pitchMm: typedNumber(form.pitch) ?? null,
  clearancePerTravel: typedNumber(form.ratio) ?? null,
  clockwiseCloses: !form.opensClockwise,
  method: form.method,
  bookStops: form.method === 'book' ? stops.value : null,
  rotation: form.rotation || null,
  barringTool: form.tool || null,
  toolTurnsPerCrankTurn: typedNumber(form.toolTurns) ?? null,
  bookHours: typedNumber(form.bookHours) ?? null,
  bookMonths: typedNumber(form.bookMonths) ?? null,
  firstCheckHours: typedNumber(form.firstCheck) ?? null,
  breakInHours: typedNumber(form.breakIn) ?? null,
  jobHours: typedNumber(form.jobHours) ?? null,
  spec: specRequest(form.spec),
}))

const preview = shallowRef<Schemas['TypePreviewResponse'] | null>(null)
const previewFailure = ref<unknown>()
const failure = ref<unknown>()
let timer: ReturnType<typeof setTimeout> | undefined
let asked = 0
watch(
  request,
  () => {
    clearTimeout(timer)
    timer = setTimeout(async () => {
      const mine = ++asked
      if (hasLocal.value) return
      try {
        const got = await answer(api.POST('/api/engine-types/preview', { body: request.value }))
        if (mine === asked) [preview.value, previewFailure.value] = [got, undefined]
      } catch (caught) {
        if (mine === asked) previewFailure.value = caught
      }
    }, 250)
  },
  { immediate: true, deep: true },
)
const complaint = (field: string) => {
  if (localComplaints.value[field]) return localComplaints.value[field]
  for (const f of [failure.value, previewFailure.value]) {
    if (!(f instanceof Refusal)) continue
    const key = Object.keys(f.errors).find((k) => k === field || k.startsWith(`${field}[`) || k.startsWith(`${field}.`))
    if (key) return f.errors[key]?.[0]
  }
  return undefined
}
async function add() {
  failure.value = undefined
  if (hasLocal.value) return
  try {
    const type = await answer(api.POST('/api/engine-types', { body: request.value }))
    localStorage.removeItem(kept)
    await client.invalidateQueries()
    await router.push({ name: 'book', params: { id: type.id } })
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>A new engine type</h1>
        <p class="soft small mb-0 mt-1">as its manual gives it; the plan on the right is worked out as you type</p>
      </div>
    </div>
    <form class="board" @submit.prevent="add">
      <section class="plate p-3">
        <div class="grid">
          <Field v-slot="{ id }" label="Code" :complaint="complaint('code')">
            <BFormInput :id="id" v-model="form.code" />
          </Field>
          <Field v-slot="{ id }" class="wide" label="What it is" :complaint="complaint('name')">
            <BFormInput :id="id" v-model="form.name" placeholder="Lorry, straight six" />
          </Field>
          <Field v-slot="{ id }" label="Cycle">
            <BFormSelect :id="id" v-model="form.cycle">
              <option value="fourStroke">four-stroke</option>
              <option value="twoStroke">two-stroke, uniflow</option>
            </BFormSelect>
          </Field>
          <Field v-slot="{ id }" label="Firing order" :complaint="complaint('firingOrder')">
            <BFormInput :id="id" v-model="form.firingOrder" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Firing angles, if uneven" :complaint="complaint('firingAnglesDeg')">
            <BFormInput :id="id" v-model="form.angles" class="figure" placeholder="even" />
          </Field>
          <Field v-slot="{ id }" label="Cylinders from the FRONT, banks by /" :complaint="complaint('banks')">
            <BFormInput :id="id" v-model="form.banks" class="figure" />
          </Field>
          <Field
            v-slot="{ id }"
            class="wide"
            label="Points along each head from the FRONT: I E J B"
            :complaint="complaint('layout')"
          >
            <BFormInput :id="id" v-model="form.layout" class="figure" />
          </Field>
          <Field
            v-slot="{ id }"
            label="Valve timing IVO IVC EVO EVC"
            :complaint="complaint('valveTiming') ?? complaint('timing')"
            hint="Empty: safe for most diesels."
          >
            <BFormInput :id="id" v-model="form.timing" class="figure" placeholder="15 45 50 15" />
          </Field>
          <Field v-slot="{ id }" label="Kept clear at each ramp, °" :complaint="complaint('rampGuardDeg')">
            <BFormInput :id="id" v-model="form.guard" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Method" :complaint="complaint('method')">
            <BFormSelect :id="id" v-model="form.method">
              <option v-for="(n, m) in methodNames" :key="m" :value="m">{{ n }}</option>
            </BFormSelect>
          </Field>
          <div v-if="form.method === 'book'" class="field whole">
            <label for="stops">The book's stops, one a line: degrees: points</label>
            <textarea
              id="stops"
              v-model="form.stops"
              class="form-control figure"
              rows="4"
              placeholder="0: 1I 1E 2I 3E"
            />
            <div v-if="complaint('bookStops')" class="complaint">{{ complaint('bookStops') }}</div>
          </div>
          <Field v-slot="{ id }" label="Set with" :complaint="complaint('adjuster')">
            <BFormSelect :id="id" v-model="form.adjuster">
              <option v-for="(n, a) in adjusterNames" :key="a" :value="a">{{ n }}</option>
            </BFormSelect>
          </Field>
          <Field v-slot="{ id }" label="Screw pitch, mm" :complaint="complaint('pitchMm')">
            <BFormInput :id="id" v-model="form.pitch" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Clearance per travel" :complaint="complaint('clearancePerTravel')">
            <BFormInput :id="id" v-model="form.ratio" class="figure" />
          </Field>
        </div>
        <label class="small mb-3">
          <input v-model="form.opensClockwise" type="checkbox" />
          this screw opens the gap clockwise
        </label>
        <h2 class="mb-2">Clearances</h2>
        <SpecFields v-model="form.spec" :complaint="complaint" />
        <h2 class="mb-2 mt-3">How often, and how it is barred</h2>
        <div class="grid">
          <Field v-slot="{ id }" label="Every, engine hours" :complaint="complaint('bookHours')">
            <BFormInput :id="id" v-model="form.bookHours" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="or months" :complaint="complaint('bookMonths')">
            <BFormInput :id="id" v-model="form.bookMonths" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="First check after build, h" :complaint="complaint('firstCheckHours')">
            <BFormInput :id="id" v-model="form.firstCheck" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Break-in, h" :complaint="complaint('breakInHours')">
            <BFormInput :id="id" v-model="form.breakIn" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="The job takes, h" :complaint="complaint('jobHours')">
            <BFormInput :id="id" v-model="form.jobHours" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Tool turns a crank turn" :complaint="complaint('toolTurnsPerCrankTurn')">
            <BFormInput :id="id" v-model="form.toolTurns" class="figure" />
          </Field>
          <Field v-slot="{ id }" label="Runs" :complaint="complaint('rotation')">
            <BFormInput :id="id" v-model="form.rotation" />
          </Field>
          <Field v-slot="{ id }" class="wide" label="Barred with" :complaint="complaint('barringTool')">
            <BFormInput :id="id" v-model="form.tool" />
          </Field>
        </div>
        <p v-if="failure" class="complaint">{{ sentence(failure) }}</p>
        <BButton type="submit" class="btn-act w-100">Put it in the book</BButton>
      </section>
      <section class="plate plate-strong p-3 preview" aria-live="polite">
        <h2>What the yard will do with it</h2>
        <p v-if="previewFailure" class="complaint mt-2">{{ sentence(previewFailure) }}</p>
        <template v-if="preview">
          <div :class="{ stale: previewFailure }">
            <HeadMap class="mt-2 head" :points="preview.points" />
            <LiftChart :cycle="preview.plan.cycleDeg" :arcs="preview.plan.openArcs" :stops="preview.plan.stops" />
            <PlanText :plan="preview.plan" />
          </div>
        </template>
      </section>
    </form>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0 0.9rem;
}
.wide {
  grid-column: span 2;
}
.whole {
  grid-column: 1 / -1;
  margin-bottom: 0.8rem;
}
.preview {
  position: sticky;
  top: 14px;
}
.head {
  max-width: 420px;
}
.stale {
  opacity: 0.45;
}
@media (max-width: 1000px) {
  .board {
    grid-template-columns: 1fr;
  }
  .preview {
    position: static;
  }
}
</style>
