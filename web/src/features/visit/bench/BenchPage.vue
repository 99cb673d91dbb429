<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Entry } from '../../../offline/entries'
import { JoinedElsewhere } from '../../../offline/foldedVisit'
import { useTitle } from '../../../shared/address/useTitle'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { swappedAnswer, trendAnswer } from '../../../offline/trendAnswer'
import { usePreferences } from '../../../shared/preferences'
import { useAwake } from '../../../shared/signals/useAwake'
import { jobNames } from '../../../shared/words/jobs'
import CorrectDialog from '../record/CorrectDialog.vue'
import BenchBar from './BenchBar.vue'
import BenchHeads from './BenchHeads.vue'
import BenchSide from './BenchSide.vue'
import EarlierWork from './EarlierWork.vue'
import FindStop from './FindStop.vue'
import HotWatch from './HotWatch.vue'
import ListStep from './ListStep.vue'
import NoteDialog from './NoteDialog.vue'
import GiveUpDialog from './GiveUpDialog.vue'
import OwnBlades from './OwnBlades.vue'
import PauseBar from './PauseBar.vue'
import PointList from './PointList.vue'
import PointPanel from './PointPanel.vue'
import SignStep from './SignStep.vue'
import VisitTrouble from './VisitTrouble.vue'
import WaysDialog from './WaysDialog.vue'
import { useFocusNext } from './useFocusNext'
import { useSaying } from './useSaying'
import { isList, useSteps } from './useSteps'
import { useVisit } from './useVisit'

const props = defineProps<{ id: string }>()
const preferences = usePreferences()
const client = useQueryClient()
const { query, view, sheet, saved, trouble, held, lastHere, name, add, draftOf, readingFor, understood } = useVisit(
  () => props.id,
  () => preferences.person,
)
const { list, closed, steps, step, stop, current, pickedPoint, pickedUndone, resetting, opening, go, pick, leadOn } =
  useSteps(
    () => view.value,
    () => sheet.value,
  )
const correcting = ref(false)
const givingUp = ref(false)
const noting = ref(false)
const middle = useTemplateRef<HTMLElement>('middle')
const router = useRouter()
// A browser that was killed may not have kept who works here; what was tapped says it.
watch(view, (now) => now && !preferences.person && (preferences.person = lastHere() ?? ''))
watch(
  () => query.error.value,
  (error) => {
    if (error instanceof JoinedElsewhere) void router.replace({ name: 'visit', params: { id: error.visitId } })
  },
  { immediate: true },
)
useTitle(() => view.value && `${view.value.context?.engine.name}, ${jobNames[view.value.job].toLowerCase()}`)
useAwake(() => preferences.keepAwake && !closed.value)

watch(
  () => view.value?.state,
  (state, before) => {
    if (before && state !== before) void client.invalidateQueries()
  },
)
const waysOpen = ref(false)
const findsStop = computed(
  () =>
    stop.value?.crankDeg != null &&
    !sheet.value?.byEye &&
    !view.value?.bench &&
    !stop.value.proved &&
    !stop.value.done &&
    !closed.value &&
    !pickedPoint.value,
)
const isProved = computed(
  () =>
    // A head on a bench has no crank to prove.
    !!view.value?.bench ||
    !!stop.value?.proved ||
    (!!current.value && !!view.value?.provedPoints.includes(current.value.label)),
)
useFocusNext(middle, () => `${String(step.value)} ${findsStop.value} ${current.value?.label}`)

const { nobody, untold, say } = useSaying(props.id, view, closed, add)
// A look at one point after another is no choice: only where somebody stays.
watchDebounced(
  pickedUndone,
  (point) => {
    if (point && !nobody.value && view.value?.next?.point !== point) void add({ kind: 'chose', point })
  },
  { debounce: 700 },
)
function proved(...entries: Entry[]) {
  leadOn()
  say(...entries)
}
useKeys([{ key: '↑ ↓', does: 'go to another point' }], (event) => {
  if (isTyping(event) || !sheet.value || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return
  event.preventDefault()
  const labels = sheet.value.stops.flatMap((s) => s.points)
  const label = labels[labels.indexOf(current.value?.label ?? '') + (event.key === 'ArrowDown' ? 1 : -1)]
  if (label) pick(label)
})
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <div v-if="view && sheet" class="bench-page">
      <BenchBar
        v-model:person="preferences.person"
        :view="view"
        :sheet="sheet"
        :steps="steps"
        :step="step"
        :closed="closed"
        :stop="stop"
        @go="go"
        @ways="waysOpen = true"
        @pause="say({ kind: 'paused' })"
      />
      <PauseBar v-if="!closed && !nobody" :view="view" :sheet="sheet" @say="say" />
      <OwnBlades v-if="!closed" :sheet="sheet" :person="preferences.person" @say="say" />
      <VisitTrouble
        :visit-id="id"
        :nobody="nobody"
        :untold="untold"
        :held="held"
        :trouble="trouble"
        @understood="understood"
      />
      <BenchHeads :sheet="sheet" :stop="stop" :current="current" @pick="pick" />
      <main class="bench" :class="{ barring: findsStop }">
        <BenchSide class="side" :bench="view.bench" :sheet="sheet" :stop="stop" :saved="saved" />
        <div ref="middle" class="plate plate-strong middle">
          <ListStep
            v-if="isList(step)"
            :view="view"
            :sheet="sheet"
            :step="step"
            :list="list"
            :closed="closed"
            :trouble="trouble"
            @say="say"
          />
          <SignStep
            v-else-if="step === 'sign'"
            v-model:person="preferences.person"
            :view="view"
            :sheet="sheet"
            :trouble="trouble"
            :name="name"
            @go="go"
            @pick="pick"
            @sign="(remark) => say({ kind: 'signed', ...(remark ? { remark } : {}) })"
            @give-up="givingUp = true"
            @note="noting = true"
            @say="say"
            @swapped="(yes) => say(swappedAnswer(view!.swapped!, yes))"
            @answer="(what) => say(...trendAnswer(what))"
          />
          <FindStop
            v-else-if="findsStop && stop"
            :key="`stop ${stop.index} ${sheet.method}`"
            :view="view"
            :index="stop.index"
            @say="proved"
          />
          <PointPanel
            v-else-if="current"
            :key="current.label"
            :view="view"
            :sheet="sheet"
            :point="current"
            :proved="isProved"
            :closed="closed"
            :signed="!!view.signed"
            :trouble="trouble"
            :draft-of="draftOf"
            :reading-for="readingFor"
            :resetting="resetting"
            @say="say"
            @correct="correcting = true"
            @reset="resetting = true"
            @prove="go(current.stopIndex)"
            @pick="pick"
            @note="noting = true"
          />
          <EarlierWork v-if="opening" :view="view" :closed="closed" @say="say" />
          <HotWatch v-if="!closed && typeof step === 'number'" :sheet="sheet" @say="say" />
        </div>
        <section class="plate p-2 right"><PointList :view="sheet" :current="current?.label" @pick="pick" /></section>
      </main>
      <CorrectDialog v-model="correcting" :visit-id="view.visitId" :unit="sheet.trayUnit" :point="current ?? null" />
      <NoteDialog
        :key="`${view.notes.length} ${view.parts.length}`"
        v-model="noting"
        :visit-id="view.visitId"
        :point="typeof step === 'number' ? (current ?? null) : null"
        :crank-deg="sheet.standsDeg ?? null"
        @say="say"
      />
      <WaysDialog v-model="waysOpen" :view="view" :sheet="sheet" @say="say" />
      <GiveUpDialog v-model="givingUp" :visit-id="view.visitId" @give-up="(why) => say({ kind: 'abandoned', why })" />
    </div>
  </Loaded>
</template>

<style scoped src="./benchPage.css" />
