<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { sentence } from '../../api/client'
import Field from '../../app/Field.vue'
import PersonPick from '../../app/PersonPick.vue'
import { day, hours, useFigures } from '../../app/figures'
import { isTyping, useKeys } from '../../app/keys'
import { usePreferences } from '../../app/preferences'
import type { Entry } from '../../offline/entries'
import HeadMap from '../../instruments/HeadMap.vue'
import TurningDial from '../../instruments/TurningDial.vue'
import ConditionStep from './ConditionStep.vue'
import CorrectDialog from './CorrectDialog.vue'
import FindStop from './FindStop.vue'
import GiveUpDialog from './GiveUpDialog.vue'
import PointList from './PointList.vue'
import PointPanel from './PointPanel.vue'
import { readingText } from './pointWords'
import TickList from './TickList.vue'
import { useVisit, type Reading } from './useVisit'

const props = defineProps<{ id: string }>()
const preferences = usePreferences()
const figures = useFigures()
const client = useQueryClient()
const { view, sheet, failure, saved, trouble, name, add, draftOf, readingFor, refresh } = useVisit(
  () => props.id,
  () => preferences.person,
)

type Step = 'makeSafe' | 'condition' | 'closeUp' | 'sign' | number
const chosen = ref<Step | null>(null)
const pickedPoint = ref<string | null>(null)
const resetting = ref(false)
const correcting = ref(false)
const givingUp = ref(false)
const remark = ref('')
const list = (which: string) => view.value?.context?.steps.filter((s) => s.list === which) ?? []
const isDone = (which: string) => list(which).every((s) => view.value?.ticked.includes(s.step))
const closed = computed(() => view.value?.state !== 'open')

const steps = computed(() => {
  const s = sheet.value
  if (!s) return []
  return [
    { step: 'makeSafe' as Step, text: 'Make safe', done: isDone('makeSafe') },
    { step: 'condition' as Step, text: s.condition === 'cold' ? 'Cold' : 'Hot', done: s.conditionKnown },
    ...s.stops.map((stop) => ({
      step: stop.index as Step,
      text: s.stops.length > 4 ? `${stop.index + 1}` : `Stop ${stop.index + 1}`,
      done: stop.done,
    })),
    { step: 'closeUp' as Step, text: 'Close up', done: isDone('closeUp') },
    { step: 'sign' as Step, text: 'Sign', done: !!view.value?.signed },
  ]
})
const nextStep = computed<Step>(() => {
  const next = view.value?.next
  if (!next || next.do === 'sign') return 'sign'
  if (next.do === 'condition') return 'condition'
  if (next.do === 'step') return list('makeSafe').some((s) => s.step === next.step) ? 'makeSafe' : 'closeUp'
  return sheet.value?.points.find((p) => p.label === next.point)?.stopIndex ?? 0
})
const step = computed<Step>(() => {
  if (closed.value) return chosen.value ?? 'sign'
  if (pickedPoint.value) return sheet.value?.points.find((p) => p.label === pickedPoint.value)?.stopIndex ?? 0
  return chosen.value ?? nextStep.value
})
const stop = computed(() => (typeof step.value === 'number' ? sheet.value?.stops[step.value] : undefined))
const current = computed(() => {
  const s = sheet.value
  if (!s || !stop.value) return undefined
  const open = s.points.filter((p) => stop.value!.points.includes(p.label))
  const wanted = view.value?.next?.point
  const label =
    pickedPoint.value ??
    (wanted && stop.value.points.includes(wanted)
      ? wanted
      : (open.find((p) => p.owesFound)?.label ?? open.find((p) => !p.done)?.label ?? open[0]?.label))
  return s.points.find((p) => p.label === label)
})
// Once a figure is kept the guide leads on; a tap of one's own holds only until then.
watch(
  () => sheet.value?.points.map((p) => `${p.label}${p.found?.id}${p.left?.id}${p.done}`).join(),
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
  (isDoneNow, wasDone) => {
    if (isDoneNow && wasDone === false) chosen.value = null
  },
)
watch(
  () => view.value?.state,
  (state, before) => {
    if (before && state !== before) void client.invalidateQueries()
  },
)

const found = computed(() => sheet.value?.points.filter((p) => p.found || p.byAmount).length ?? 0)
const done = computed(() => sheet.value?.points.filter((p) => p.done).length ?? 0)
/** A bracket stands at its middle: there is room for one figure only. */
const shownFigure = (reading: Reading | null | undefined) =>
  reading?.estimateMm != null ? figures.rough(reading.estimateMm) : readingText(reading, figures.figure, true) || null
const head = computed(() =>
  (sheet.value?.points ?? []).map((p) => ({
    ...p,
    id: p.label,
    figure: shownFigure(p.left ?? p.found),
    state: (p.left ?? p.found)?.state ?? null,
    dim: stop.value ? !stop.value.points.includes(p.label) : false,
  })),
)
const nextStop = computed(() => (stop.value ? sheet.value?.stops[stop.value.index + 1] : undefined))
/** What a screen of its own says beside its field is not said again above everything. */
const banner = computed(() => {
  const t = trouble.value
  if (!t || ['conditionStated', 'tried', 'figureRead', 'kept', 'signed', 'abandoned'].includes(t.entry.kind))
    return null
  return t
})

function go(to: Step) {
  pickedPoint.value = null
  resetting.value = false
  chosen.value = to === nextStep.value ? null : to
}
function pick(label: string) {
  chosen.value = null
  resetting.value = false
  pickedPoint.value = label
}
/** Without a person on the bench nothing is written down under somebody's name. */
function say(...entries: Entry[]) {
  if (preferences.person) add(...entries)
  else document.querySelector<HTMLElement>('.who select')?.focus()
}
function prove() {
  const s = stop.value
  if (!s) return
  chosen.value = null
  say(
    s.crankDeg != null
      ? { kind: 'positionProved', crankDeg: s.crankDeg }
      : { kind: 'positionProved', points: s.points },
  )
}
function sign() {
  say({ kind: 'signed', ...(remark.value.trim() ? { remark: remark.value.trim() } : {}) })
}
function giveUp(why: string) {
  givingUp.value = false
  say({ kind: 'abandoned', why })
}
useKeys([], (event) => {
  if (isTyping(event) || !sheet.value || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return
  event.preventDefault()
  const labels = sheet.value.stops.flatMap((s) => s.points)
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
  <template v-else-if="view && sheet">
    <header class="bar">
      <RouterLink class="name" :to="{ name: 'engine', params: { id: view.engineId } }"
        >‹ {{ view.context?.engine.name }}</RouterLink
      >
      <span class="soft small facts-line">
        {{
          { overhead: 'overhead', spotCheck: 'spot check', receivingCheck: 'receiving check', build: 'build' }[view.job]
        }}
        <template v-if="sheet.shownHours != null">at {{ hours(sheet.shownHours) }} h · </template>{{ sheet.condition
        }}<template v-if="sheet.engineTemperatureC != null">, {{ sheet.engineTemperatureC }} °C</template
        ><template v-if="sheet.specRevision"> · book rev. {{ sheet.specRevision }}</template>
      </span>
      <label v-if="!closed" class="who small soft"
        >measures <PersonPick v-model="preferences.person" label="Who measures"
      /></label>
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

    <div v-if="!preferences.person && !closed" class="conflict" role="alert">
      <span>Choose who measures: every figure carries a name.</span>
    </div>
    <div v-if="banner" class="conflict" role="alert">
      <span>{{ banner.refusal.message }}</span>
      <BButton class="btn-plain" @click="trouble = null">Understood</BButton>
    </div>

    <main class="bench">
      <div class="side">
        <section class="plate p-3">
          <TurningDial
            :cycle="sheet.cycleDeg"
            :order="sheet.firingOrder"
            :angles="sheet.firingAnglesDeg"
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
          <strong>{{ found }} of {{ sheet.points.length }} found, {{ done }} done</strong>
          <div
            class="progress-line"
            role="progressbar"
            :aria-valuenow="done"
            :aria-valuemax="sheet.points.length"
            aria-label="Points done"
          >
            <div :style="{ width: `${(done / sheet.points.length) * 100}%` }" />
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
          <p class="soft mt-2">{{ view.context?.foremost }}</p>
          <TickList
            :items="list('makeSafe')"
            :ticked="view.ticked"
            :locked="closed"
            @tick="(key, on) => say({ kind: 'ticked', step: key, on })"
          />
        </section>
        <ConditionStep
          v-else-if="step === 'condition'"
          :view="sheet"
          :refusal="trouble?.entry.kind === 'conditionStated' ? trouble.refusal : null"
          @condition="
            (degrees, anyway) =>
              say({
                kind: 'conditionStated',
                condition: sheet!.condition,
                engineTemperatureC: degrees,
                measureAnyway: anyway,
              })
          "
        />
        <section v-else-if="step === 'closeUp'">
          <h1>Close up</h1>
          <p v-if="done < sheet.points.length" class="complaint mt-2">
            {{ sheet.points.length - done }} {{ sheet.points.length - done === 1 ? 'point is' : 'points are' }} not done
            yet.
          </p>
          <TickList
            class="mt-2"
            :items="list('closeUp')"
            :ticked="view.ticked"
            :locked="closed"
            @tick="(key, on) => say({ kind: 'ticked', step: key, on })"
          />
        </section>
        <section v-else-if="step === 'sign'">
          <template v-if="view.signed">
            <h1>Signed by {{ name(view.signed.by) }}</h1>
            <p class="mt-2">
              {{ day(view.signed.at, true) }}. The figures stand; a correction is a new entry with who and why.
            </p>
            <div class="d-flex gap-2 flex-wrap">
              <BButton class="btn-act" :to="{ name: 'engine', params: { id: view.engineId } }"
                >See when it is due now</BButton
              >
              <BButton class="btn-plain" :to="{ name: 'record', params: { id: view.visitId } }">The record</BButton>
            </div>
          </template>
          <template v-else-if="view.state === 'abandoned'">
            <h1>Given up</h1>
            <p class="mt-2">This visit makes no record, and its readings are in no trend. The engine is free again.</p>
            <BButton class="btn-act" :to="{ name: 'engine', params: { id: view.engineId } }">The engine</BButton>
          </template>
          <template v-else>
            <h1>Sign</h1>
            <template v-if="view.refusals.length">
              <p class="mt-2 mb-1">It cannot be signed yet:</p>
              <ul>
                <li v-for="r in view.refusals" :key="r.code" class="is-tight">{{ r.sentence }}</li>
              </ul>
            </template>
            <p v-else class="mt-2">Every point has an as-found and an as-left. With your name the record stands.</p>
            <Field v-slot="{ id: f }" label="Name"><PersonPick :id="f" v-model="preferences.person" /></Field>
            <Field v-slot="{ id: f }" label="Remark, if any"><BFormInput :id="f" v-model="remark" /></Field>
            <p v-if="trouble?.entry.kind === 'signed'" class="complaint">{{ trouble.refusal.message }}</p>
            <BButton
              class="btn-act w-100"
              :disabled="view.refusals.length > 0 || !preferences.person || saved !== 'saved'"
              @click="sign"
              >Sign the {{ view.job === 'overhead' ? 'overhead' : 'record' }}</BButton
            >
            <BButton class="btn-plain w-100 mt-3" @click="givingUp = true">Give this visit up…</BButton>
          </template>
        </section>
        <FindStop
          v-else-if="stop && !stop.proved && !stop.done && !closed && !pickedPoint"
          :view="view"
          :index="stop.index"
          @proved="prove"
        />
        <PointPanel
          v-else-if="current"
          :key="current.label"
          :sheet="sheet"
          :point="current"
          :proved="stop?.proved ?? false"
          :closed="closed"
          :trouble="trouble"
          :draft-of="draftOf"
          :reading-for="readingFor"
          :resetting="resetting"
          @say="say"
          @correct="correcting = true"
          @reset="resetting = true"
          @prove="go(current.stopIndex)"
        />
      </div>

      <section class="plate p-2 right">
        <PointList :view="sheet" :current="current?.label" @pick="pick" />
      </section>
    </main>
    <CorrectDialog
      v-model="correcting"
      :visit-id="view.visitId"
      :signed="!!view.signed"
      :unit="sheet.trayUnit"
      :point="current ?? null"
      @corrected="refresh"
    />
    <GiveUpDialog v-model="givingUp" @give-up="giveUp" />
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
.who {
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.facts-line {
  display: flex;
  align-items: center;
  flex: 1 1 240px;
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
