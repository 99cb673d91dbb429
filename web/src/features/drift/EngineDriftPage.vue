<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, useTemplateRef } from 'vue'
import { queries } from '../../api/queries'
import { momentAhead } from '../../instruments/useClearanceDrawing'
import { savedDrawing } from '../../instruments/savedDrawing'
import { useAddressed } from '../../shared/address/useAddressed'
import { useTitle } from '../../shared/address/useTitle'
import { csv, saveText } from '../../shared/figures/csv'
import { useFigures } from '../../shared/figures/useFigures'
import { isTyping, useKeys } from '../../shared/keys/keys'
import Loaded from '../../shared/loaded/Loaded.vue'
import { driftBelow, driftHeadline, standingOut } from '../../shared/words/drift'
import LookAgain from '../../shared/engines/LookAgain.vue'
import DriftFindings from './DriftFindings.vue'
import DriftGrid from './DriftGrid.vue'
import type { DriftLook } from './drawingOf'
import DriftRates from './DriftRates.vue'
import DriftTable from './DriftTable.vue'
import { driftRows } from './driftTable'
import PointDetail from './PointDetail.vue'
import { useStretch } from './useStretch'

const props = defineProps<{ id: string }>()
const figures = useFigures()
const drift = useQuery(() => queries.engineDrift(props.id))
const everybody = useQuery(() => queries.everybody())
const name = (by?: string | null) => everybody.data.value?.find((p) => p.id === by)?.name ?? ''
const picked = useAddressed('point')
const axis = useAddressed('axis', 'hours')
const view = useAddressed('view', 'drawn')
const sisters = useAddressed('sisters', 'shown')
const page = useTemplateRef<HTMLElement>('page')
useTitle(() => drift.data.value && `Drift, ${drift.data.value.engine}`)

const point = computed(() => {
  const data = drift.data.value
  const wanted =
    picked.value ||
    (data && (standingOut(data)[0]?.label ?? data.points.find((p) => p.unlikeSiblings)?.label ?? data.decidedBy))
  return data?.points.find((p) => p.label === wanted) ?? data?.points[0]
})
const dates = computed(() =>
  axis.value === 'dates' && drift.data.value
    ? { today: drift.data.value.today, hoursPerWeek: drift.data.value.hoursPerWeek }
    : null,
)
const whole = computed((): [number, number] => {
  const data = drift.data.value
  if (!data) return [0, 1]
  const ahead = Math.max(0, ...data.points.flatMap((p) => p.fan.map((f) => f.hours)))
  if (!dates.value) return [data.visits[0]?.hours ?? data.totalHours, data.totalHours + Math.max(ahead, 1)]
  const now = momentAhead(dates.value, 0)
  return [data.visits[0] ? Date.parse(data.visits[0].date) : now, momentAhead(dates.value, Math.max(ahead, 1))]
})
const { stretch, closer, wider, along, all } = useStretch(() => whole.value)
const lookAt = (data: DriftLook['drift']): DriftLook => ({
  drift: data,
  figures,
  stretch: stretch.value,
  dates: dates.value,
  sisters: sisters.value === 'shown',
  name,
})
function turn() {
  all()
  axis.value = axis.value === 'dates' ? 'hours' : 'dates'
}
function pick(by: number) {
  const points = drift.data.value?.points ?? []
  const next = points[points.findIndex((p) => p.label === point.value?.label) + by]
  if (next) picked.value = next.label
}
useKeys(
  [
    { key: '← →', does: 'the point before or after' },
    { key: '+ −', does: 'closer, wider' },
    { key: ', .', does: 'back and ahead along the life' },
    { key: '0', does: 'the whole life' },
    { key: 'D', does: 'hours or dates' },
    { key: 'T', does: 'drawings or a table' },
  ],
  (event) => {
    if (isTyping(event) || document.querySelector('.modal.show')) return
    const does: Record<string, () => void> = {
      ArrowLeft: () => pick(-1),
      ArrowRight: () => pick(1),
      '+': closer,
      '-': wider,
      ',': () => along(-0.25),
      '.': () => along(0.25),
      '0': all,
      d: turn,
      t: () => (view.value = view.value === 'table' ? 'drawn' : 'table'),
    }
    does[event.key.length === 1 ? event.key.toLowerCase() : event.key]?.()
  },
)
function saveCsv() {
  const data = drift.data.value!
  saveText(`drift ${data.engine}.csv`, csv(driftRows(data, name)), 'text/csv')
}
function saveSvg() {
  const data = drift.data.value!
  const drawings = [...page.value!.querySelectorAll<HTMLElement>('[data-drawing]')]
  saveText(
    `drift ${data.engine}.svg`,
    savedDrawing(drawings, `${data.engine}: ${driftHeadline(data, figures)}`),
    'image/svg+xml',
  )
}
</script>

<template>
  <Loaded v-slot="{ data }" :query="drift" what="engine" back="/drift" back-text="Drift of the fleet">
    <main ref="page" class="page">
      <div class="page-head">
        <div>
          <h1>{{ data.engine }}: {{ driftHeadline(data, figures) }}</h1>
          <p class="soft small mb-0 mt-1">{{ driftBelow(data, figures) }}</p>
          <p v-if="data.trouble" class="complaint">{{ data.trouble }}</p>
        </div>
        <div class="d-flex gap-2 flex-wrap tools">
          <BButton class="btn-plain" :to="{ name: 'engine', params: { id } }">The engine</BButton>
          <BButton class="btn-plain" :aria-pressed="axis === 'dates'" @click="turn">{{
            axis === 'dates' ? 'On engine hours' : 'On dates'
          }}</BButton>
          <BButton class="btn-plain" @click="view = view === 'table' ? 'drawn' : 'table'">{{
            view === 'table' ? 'Drawings' : 'Table'
          }}</BButton>
          <BButton
            class="btn-plain"
            :aria-pressed="sisters === 'shown'"
            @click="sisters = sisters === 'shown' ? 'hidden' : 'shown'"
            >{{ sisters === 'shown' ? 'Without sisters' : 'With sisters' }}</BButton
          >
          <span class="d-inline-flex gap-1" role="group" aria-label="Zoom">
            <BButton class="btn-plain" aria-label="Closer" @click="closer">+</BButton>
            <BButton class="btn-plain" aria-label="Wider" :disabled="!stretch" @click="wider">−</BButton>
            <BButton class="btn-plain" aria-label="Back along the life" :disabled="!stretch" @click="along(-0.25)"
              >‹</BButton
            >
            <BButton class="btn-plain" aria-label="Ahead along the life" :disabled="!stretch" @click="along(0.25)"
              >›</BButton
            >
          </span>
          <BButton class="btn-plain" @click="saveCsv">CSV</BButton>
          <BButton v-if="view !== 'table'" class="btn-plain" @click="saveSvg">SVG</BButton>
        </div>
      </div>
      <DriftTable v-if="view === 'table'" :drift="data" :figures="figures" />
      <template v-else>
        <DriftGrid :look="lookAt(data)" :picked="point?.label" @pick="picked = $event" />
        <PointDetail v-if="point" :look="lookAt(data)" :point="point" />
      </template>
      <div class="below mt-3">
        <DriftRates
          :drift="data"
          :figures="figures"
          :picked="point?.label"
          :sisters="sisters === 'shown'"
          @pick="picked = $event"
        />
        <DriftFindings :drift="data" :figures="figures" />
        <LookAgain :engine-id="data.engineId" :asked="data.voice.lookAgain" />
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
[aria-label='Zoom'] .btn {
  min-width: 44px;
}
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 0.9rem;
  align-items: start;
}
</style>
