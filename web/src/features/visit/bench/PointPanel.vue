<script setup lang="ts">
import GapStrip from '../../../instruments/GapStrip.vue'
import type { Entry } from '../../../offline/entries'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { spoken } from '../../../shared/words/points'
import AmountPanel from './AmountPanel.vue'
import ByEye from './ByEye.vue'
import ClaimedFigure from './ClaimedFigure.vue'
import MeasurePoint from './MeasurePoint.vue'
import PointDone from './PointDone.vue'
import PointFound from './PointFound.vue'
import PointHead from './PointHead.vue'
import PointSteps from './PointSteps.vue'
import SettingTrail from './SettingTrail.vue'
import ShimPanel from './ShimPanel.vue'
import { usePointTask } from './usePointTask'
import type { Draft, Point, Sheet, Stage, Trouble, Visit } from './useVisit'

/** One lash point in large type: its window, what was found, and what to do now. */
const props = defineProps<{
  view: Visit
  sheet: Sheet
  point: Point
  proved: boolean
  closed: boolean
  signed: boolean
  trouble: Trouble | null
  draftOf: (point: Point, stage: Stage) => Draft | null
  readingFor: (point: Point, stage: Stage) => string
  resetting: boolean
}>()
const emit = defineEmits<{
  say: [...entries: Entry[]]
  correct: []
  reset: []
  prove: []
  pick: [label: string]
  note: []
}>()
// In the unit of the blades in hand.
const figures = useFigures(() => props.sheet.trayUnit as Unit)

const { anew, foundAnew, setting, underWay, looksOnly, stage, finished, shown, state, seen, changesShim, task } =
  usePointTask(props)
/** A tap that kept itself too soon: the reading is open again, with its tries. */
function takeBack(entry: string) {
  emit('say', { kind: 'undone', entry })
}
</script>

<template>
  <section class="panel">
    <PointHead :sheet="sheet" :point="point" :figures="figures" :setting="setting" :task="task">
      <!-- Asked before anything else is done: over what may lie behind the hand. -->
      <PointSteps
        v-if="!finished"
        :view="view"
        :sheet="sheet"
        :point="point"
        :closed="closed"
        @say="(...entries) => emit('say', ...entries)"
      />
    </PointHead>
    <ClaimedFigure
      v-if="view.job === 'receivingCheck' && !point.byAmount"
      :key="`claimed ${point.label}`"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      :figures="figures"
      :closed="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
    <ByEye
      v-if="sheet.byEye && !closed && !finished"
      :view="view"
      :sheet="sheet"
      :point="point"
      :proved="proved"
      @pick="(label) => emit('pick', label)"
    />
    <p v-if="point.siblings && point.minMm == null" class="small mb-1">
      Its {{ point.siblings.points }} siblings read {{ figures.figure(point.siblings.leastMm) }} to
      {{ figures.withUnit(point.siblings.mostMm) }}.<strong v-if="point.siblings.odd">
        {{ point.siblings.odd }} is unlike the rest: look at it again.</strong
      >
    </p>
    <GapStrip
      v-if="point.minMm != null"
      tall
      :min="point.minMm"
      :max="point.maxMm"
      :set="point.setMm"
      :found="point.found?.estimateMm ?? (setting ? point.foundBefore?.estimateMm : shown?.estimateMm)"
      :lower="point.found?.lowerMm ?? (setting ? point.foundBefore?.lowerMm : shown?.lowerMm)"
      :upper="point.found?.upperMm ?? (setting ? point.foundBefore?.upperMm : shown?.upperMm)"
      :left="setting ? (shown?.estimateMm ?? null) : (point.left?.estimateMm ?? null)"
      :expected="point.expectedMm"
      :tried="point.attempts.map((a) => a.estimateMm).filter((mm) => mm != null)"
      :state="state"
      :label="spoken(point)"
    />

    <PointFound
      v-if="point.minMm != null"
      v-model:anew="anew"
      :sheet="sheet"
      :point="point"
      :figures="figures"
      :setting="setting"
      :under-way="underWay"
      :finished="finished"
      :closed="closed"
      @take-back="takeBack"
    />

    <SettingTrail
      v-if="
        point.minMm != null &&
        !finished &&
        !looksOnly &&
        !changesShim &&
        (setting || point.attempts.length) &&
        (point.found || point.attempts.length || point.beforeLock)
      "
      :point="point"
      :stage="stage"
      :figures="figures"
    />
    <ShimPanel
      v-if="point.shim && !closed && (!finished || !point.shim.now)"
      :key="`shim ${point.label}`"
      :view="view"
      :point="point"
      :setting="setting"
      @say="(...entries) => emit('say', ...entries)"
    />
    <PointDone
      v-if="finished || looksOnly"
      :point="point"
      :closed="closed"
      :figures="figures"
      :signed="signed"
      :sheet="sheet"
      @correct="emit('correct')"
      @reset="emit('reset')"
      @take-back="takeBack"
      @say="(...entries) => emit('say', ...entries)"
    />
    <AmountPanel
      v-else-if="point.byAmount"
      :key="`amount ${point.label}`"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      @say="(...entries) => emit('say', ...entries)"
    />
    <MeasurePoint
      v-else-if="!changesShim"
      :visit-id="view.visitId"
      :sheet="sheet"
      :point="point"
      :setting="setting"
      :anew="foundAnew"
      :proved="proved"
      :resetting="resetting"
      :figures="figures"
      :seen="seen"
      :trouble="trouble"
      :draft-of="draftOf"
      :reading-for="readingFor"
      @say="(...entries) => emit('say', ...entries)"
      @prove="emit('prove')"
    />
    <button v-if="!closed" type="button" class="btn btn-plain more" @click="emit('note')">Remark, photo, part…</button>
  </section>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  flex: 1;
}
.panel > .more {
  align-self: flex-start;
}
.more {
  margin-top: 0.9rem;
}
</style>
