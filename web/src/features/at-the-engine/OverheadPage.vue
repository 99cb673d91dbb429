<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import Field from '../../app/Field.vue'
import { day, hours, useFigures } from '../../app/figures'
import { isTyping, useKeys } from '../../app/keys'
import { usePreferences } from '../../app/preferences'
import HeadMap from '../../instruments/HeadMap.vue'
import TurningDial from '../../instruments/TurningDial.vue'
import ConditionStep from './ConditionStep.vue'
import CorrectDialog from './CorrectDialog.vue'
import FindStop from './FindStop.vue'
import PointList from './PointList.vue'
import PointPanel from './PointPanel.vue'
import { readingText } from './pointWords'
import TickList from './TickList.vue'
import { useOverhead, type Draft } from './useOverhead'

const props = defineProps<{ id: string }>()
const preferences = usePreferences()
const figures = useFigures()
const client = useQueryClient()
const { view, failure, saved, trouble, draftOf, measure, discard, change, useTheirs, useMine } = useOverhead(
  () => props.id,
)

type Step = 'makeSafe' | 'condition' | 'closeUp' | 'sign' | number
const chosen = ref<Step | null>(null)
const pickedPoint = ref<string | null>(null)
const resetting = ref(false)
const correcting = ref(false)
const signer = ref('')
const remark = ref('')
const who = computed(() => preferences.who || view.value?.who || '')

const steps = computed(() => {
  const v = view.value
  if (!v) return []
  const safe = v.makeSafe.every((c) => v.ticked.includes(c.key))
  const closed = v.closeUp.every((c) => v.ticked.includes(c.key))
  return [
    { step: 'makeSafe' as Step, text: 'Make safe', done: safe },
    { step: 'condition' as Step, text: v.condition === 'cold' ? 'Cold' : 'Hot', done: v.ticked.includes('condition') },
    ...v.stops.map((s) => ({
      step: s.index as Step,
      text: v.stops.length > 4 ? `${s.index + 1}` : `Stop ${s.index + 1}`,
      done: s.done,
    })),
    { step: 'closeUp' as Step, text: 'Close up', done: closed },
    { step: 'sign' as Step, text: 'Sign', done: !!v.signedAt },
  ]
})
const nextStep = computed<Step>(() => {
  const next = view.value?.next
  if (!next) return 'makeSafe'
  if (next.step === 'stop') return next.stopIndex ?? 0
  return next.step as Step
})
const step = computed<Step>(() => {
  if (view.value?.signedAt) return chosen.value ?? 'sign'
  if (pickedPoint.value) return view.value?.points.find((p) => p.label === pickedPoint.value)?.stopIndex ?? 0
  return chosen.value ?? nextStep.value
})
const stop = computed(() => (typeof step.value === 'number' ? view.value?.stops[step.value] : undefined))
const current = computed(() => {
  const v = view.value
  if (!v || !stop.value) return undefined
  const open = v.points.filter((p) => stop.value!.points.includes(p.label))
  const label =
    pickedPoint.value ??
    (v.next.stopIndex === stop.value.index && v.next.point
      ? v.next.point
      : (open.find((p) => !p.found)?.label ?? open.find((p) => !p.done)?.label ?? open[0]?.label))
  return v.points.find((p) => p.label === label)
})
// Once a figure is kept the guide leads on; a tap of one's own holds only until then.
watch(
  () => view.value?.points.map((p) => `${p.label}${p.found?.id}${p.left?.id}${p.done}`).join(),
  (now, before) => {
    if (before !== undefined && now !== before) {
      pickedPoint.value = null
      resetting.value = false
      chosen.value = null
    }
  },
)
// A list ticked to its end leads on by itself.
watch(
  () => steps.value.find((s) => s.step === chosen.value)?.done,
  (isDone, wasDone) => {
    if (isDone && wasDone === false) chosen.value = null
  },
)
watch(
  () => view.value?.signedAt,
  (signed) => {
    if (signed) void client.invalidateQueries()
  },
)

const found = computed(() => view.value?.points.filter((p) => p.found || p.minMm == null).length ?? 0)
const done = computed(() => view.value?.points.filter((p) => p.done).length ?? 0)
/** A bracket stands at its middle: there is room for one figure only. */
const shownFigure = (reading: Schemas['ReadingView'] | null | undefined) =>
  reading?.estimateMm != null ? figures.rough(reading.estimateMm) : readingText(reading, figures.figure, true) || null
const head = computed(() =>
  (view.value?.points ?? []).map((p) => ({
    ...p,
    figure: shownFigure(p.left?.why ? p.found : (p.left ?? p.found)),
    state: (p.left ?? p.found)?.state ?? null,
    dim: stop.value ? !stop.value.points.includes(p.label) : false,
  })),
)
const nextStop = computed(() => (stop.value ? view.value?.stops[stop.value.index + 1] : undefined))
const conflict = computed(() => (trouble.value?.refusal.status === 409 ? trouble.value : null))
const theirs = computed(() => conflict.value?.refusal.body.current as Schemas['ReadingView'] | undefined)

function pick(label: string) {
  pickedPoint.value = label
  resetting.value = false
}
function go(to: Step) {
  pickedPoint.value = null
  chosen.value = to
}
function take(draft: Draft, more: Record<string, unknown>) {
  measure(draft, who.value, more)
}
function sign() {
  change('/signature', { who: signer.value || who.value, remark: remark.value || null })
}
useKeys([], (event) => {
  if (isTyping(event) || !view.value || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return
  event.preventDefault()
  const labels = view.value.stops.flatMap((s) => s.points)
  const at = labels.indexOf(current.value?.label ?? '')
  const label = labels[at + (event.key === 'ArrowDown' ? 1 : -1)]
  if (label) pick(label)
})
</script>

<template>
  <main v-if="failure && !view" class="page">
    <p class="complaint">{{ sentence(failure) }}</p>
    <RouterLink to="/at-the-engine">Back to the open overheads</RouterLink>
  </main>
  <template v-else-if="view">
    <header class="bar">
      <RouterLink class="name" :to="{ name: 'engine', params: { id: view.engineId } }"
        >‹ {{ view.engineName }}</RouterLink
      >
      <span class="soft small facts-line">
        {{
          { overhead: 'overhead', spotCheck: 'spot check', receivingCheck: 'receiving check', build: 'build' }[view.job]
        }}
        at {{ hours(view.shownHours) }} h · {{ view.condition
        }}<template v-if="view.engineTemperatureC != null">, {{ view.engineTemperatureC }} °C</template> · book rev.
        {{ view.specRevision }} · {{ view.who }}
      </span>
      <nav aria-label="Steps of the overhead">
        <button
          v-for="s in steps"
          :key="String(s.step)"
          type="button"
          :class="{ here: s.step === step }"
          :aria-current="s.step === step ? 'step' : undefined"
          @click="go(s.step)"
        >
          <template v-if="s.done">✓ </template>{{ s.text }}
        </button>
      </nav>
    </header>

    <div v-if="trouble && trouble.refusal.status !== 400" class="conflict" role="alert">
      <span>{{ trouble.refusal.message }}</span>
      <template v-if="conflict?.entry.readingId">
        <BButton class="btn-plain" @click="useTheirs(conflict.entry)"
          >Go on with
          {{
            theirs ? `${theirs.who}’s ${readingText(theirs, figures.figure) || 'reading'}` : 'what stands there'
          }}</BButton
        >
        <BButton v-if="theirs && !theirs.kept" class="btn-plain" @click="useMine(conflict.entry, who)"
          >Put mine in its place</BButton
        >
      </template>
      <BButton v-else class="btn-plain" @click="trouble = null">Understood</BButton>
    </div>

    <main class="bench">
      <div class="side">
        <section class="plate p-3">
          <TurningDial
            :cycle="view.cycleDeg"
            :order="view.firingOrder"
            :angles="view.firingAnglesDeg"
            :crank="stop?.crankDeg ?? null"
            :next="nextStop?.crankDeg ?? null"
            :room-back="stop?.roomBackDeg"
            :room-forward="stop?.roomForwardDeg"
            :caption="stop?.sign"
          />
          <p class="sign">{{ stop?.sign ?? 'Nobody bars yet.' }}</p>
          <p v-if="stop?.compressionCylinder && stop.rockingCylinder" class="small soft mb-0">
            Both rockers on {{ stop.compressionCylinder }} loose? If {{ stop.rockingCylinder }} is loose instead, turn
            once more, forwards.
          </p>
        </section>
        <section class="plate p-3 mt-2">
          <HeadMap :points="head" :current="current?.label" @pick="pick" />
          <p class="small soft mb-1">Outlined: reachable at this stop. Grey: another stop.</p>
          <strong>{{ found }} of {{ view.points.length }} found, {{ done }} done</strong>
          <div
            class="progress-line"
            role="progressbar"
            :aria-valuenow="done"
            :aria-valuemax="view.points.length"
            aria-label="Points done"
          >
            <div :style="{ width: `${(done / view.points.length) * 100}%` }" />
          </div>
          <p class="small mb-0" :class="saved === 'waiting' ? 'is-tight' : 'soft'" aria-live="polite">
            {{
              {
                saved: 'Saved on the server.',
                saving: 'Saving…',
                waiting: 'Saved on this machine; the server cannot be reached. It is sent when it is back.',
              }[saved]
            }}
          </p>
        </section>
      </div>

      <div class="plate plate-strong p-4 middle">
        <section v-if="step === 'makeSafe'">
          <h1>Make it safe</h1>
          <p class="soft mt-2">{{ view.foremost }}</p>
          <TickList
            :items="view.makeSafe"
            :ticked="view.ticked"
            :locked="!!view.signedAt"
            @tick="(key, on) => change('/ticks', { key, on })"
          />
        </section>
        <ConditionStep
          v-else-if="step === 'condition'"
          :view="view"
          :refusal="trouble?.refusal"
          @condition="(body) => change('/condition', body)"
        />
        <section v-else-if="step === 'closeUp'">
          <h1>Close up</h1>
          <p v-if="done < view.points.length" class="complaint mt-2">
            {{ view.points.length - done }} points are not done yet.
          </p>
          <TickList
            class="mt-2"
            :items="view.closeUp"
            :ticked="view.ticked"
            :locked="!!view.signedAt"
            @tick="(key, on) => change('/ticks', { key, on })"
          />
        </section>
        <section v-else-if="step === 'sign'">
          <template v-if="view.signedAt">
            <h1>Signed by {{ view.signedBy }}</h1>
            <p class="mt-2">
              {{ day(view.signedAt, true) }}. The figures stand; a correction is a new entry with who and why.
            </p>
            <div class="d-flex gap-2 flex-wrap">
              <BButton class="btn-act" :to="{ name: 'engine', params: { id: view.engineId } }"
                >See when it is due now</BButton
              >
              <BButton class="btn-plain" :to="{ name: 'record', params: { id: view.id } }">The record</BButton>
            </div>
          </template>
          <template v-else>
            <h1>Sign</h1>
            <template v-if="view.signingRefusals.length">
              <p class="mt-2 mb-1">It cannot be signed yet:</p>
              <ul>
                <li v-for="r in view.signingRefusals" :key="r" class="is-tight">{{ r }}</li>
              </ul>
            </template>
            <p v-else class="mt-2">Every point has an as-found and an as-left. With your name the record stands.</p>
            <Field v-slot="{ id: f }" label="Name"><BFormInput :id="f" v-model="signer" :placeholder="who" /></Field>
            <Field v-slot="{ id: f }" label="Remark, if any"><BFormInput :id="f" v-model="remark" /></Field>
            <p v-if="trouble?.refusal.for('overhead') || trouble?.refusal.for('who')" class="complaint">
              {{ trouble.refusal.message }}
            </p>
            <BButton class="btn-act w-100" :disabled="view.signingRefusals.length > 0" @click="sign"
              >Sign the {{ view.job === 'overhead' ? 'overhead' : 'record' }}</BButton
            >
          </template>
        </section>
        <FindStop
          v-else-if="stop && !stop.proved && !view.signedAt && !pickedPoint"
          :view="view"
          :index="stop.index"
          @proved="change(`/stops/${stop.index}`)"
        />
        <PointPanel
          v-else-if="current"
          :key="current.id"
          :view="view"
          :point="current"
          :trouble="trouble"
          :draft-of="draftOf"
          :resetting="resetting"
          @measure="take"
          @discard="discard"
          @correct="correcting = true"
          @reset="resetting = true"
        />
      </div>

      <section class="plate p-2 right">
        <PointList :view="view" :current="current?.label" @pick="pick" />
      </section>
    </main>
    <CorrectDialog v-model="correcting" :view="view" :point="current ?? null" @corrected="(v) => (view = v)" />
  </template>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: stretch;
  gap: 1.2rem;
  min-height: 54px;
  padding: 0 1.25rem;
  background: var(--plate);
  border-bottom: 1.5px solid var(--line);
  flex-wrap: wrap;
}
.name {
  display: flex;
  align-items: center;
  font-size: 1.15rem;
  font-weight: 700;
  color: var(--ink);
  text-decoration: none;
  min-height: 54px;
}
.facts-line {
  display: flex;
  align-items: center;
  flex: 1 1 320px;
}
nav {
  display: flex;
  gap: 0.3rem;
  flex-wrap: wrap;
}
nav button {
  min-height: 52px;
  min-width: 44px;
  padding: 0 0.6rem;
  background: none;
  border: 0;
  border-bottom: 4px solid transparent;
  color: var(--ink-soft);
}
nav button.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
.conflict {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  flex-wrap: wrap;
  padding: 0.6rem 1.25rem;
  background: var(--tight-wash);
  border-bottom: 1.5px solid var(--tight);
  font-weight: 700;
}
.bench {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 300px;
  gap: 14px;
  padding: 14px;
  max-width: 1500px;
  margin: 0 auto;
  align-items: start;
}
.sign {
  font-size: 1.12rem;
  font-weight: 700;
  margin: 0.3rem 0 0.1rem;
}
.progress-line {
  height: 6px;
  background: var(--shade);
  margin: 0.3rem 0;
}
.progress-line div {
  height: 100%;
  background: var(--blue);
}
.right {
  max-height: calc(100vh - 84px);
  overflow-y: auto;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 220px minmax(0, 1fr);
  }
  .right {
    grid-column: 1 / -1;
    max-height: none;
  }
  .middle {
    padding: 1rem !important;
  }
}
</style>
