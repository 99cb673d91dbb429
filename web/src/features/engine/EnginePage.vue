<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { queries } from '../../api/queries'
import { openedHere } from '../../offline/outbox'
import { useAddressed } from '../../shared/address/useAddressed'
import { useTitle } from '../../shared/address/useTitle'
import TypeFacts from '../../shared/facts/TypeFacts.vue'
import WhatWaits from '../../shared/facts/WhatWaits.vue'
import LookAgain from '../../shared/engines/LookAgain.vue'
import { isTyping, useKeys } from '../../shared/keys/keys'
import Loaded from '../../shared/loaded/Loaded.vue'
import MoreMenu from '../../shared/menus/MoreMenu.vue'
import { shimAdjusters } from '../../shared/words/shims'
import ChangeEngineDialog from './ChangeEngineDialog.vue'
import EngineHeads from './EngineHeads.vue'
import EngineLedger from './EngineLedger.vue'
import HoursAhead from './HoursAhead.vue'
import MachineDialog from './MachineDialog.vue'
import MeterDialog from './MeterDialog.vue'
import CallList from './CallList.vue'
import EngineLeft from './EngineLeft.vue'
import EngineShims from './EngineShims.vue'
import EngineTitle from './EngineTitle.vue'
import NextOverhead from './NextOverhead.vue'
import OwnFigures from './OwnFigures.vue'
import PointHistory from './PointHistory.vue'
import TakeAlongButton from './TakeAlongButton.vue'

const props = defineProps<{ id: string }>()
const router = useRouter()
const engine = useQuery(() => queries.engine(props.id))
const fleet = useQuery(() => queries.fleet())
const risk = computed(() => fleet.data.value?.risk ?? 0.05)
const picked = useAddressed('point')
const meter = ref(false)
const changing = ref(false)
const machine = ref(false)
useTitle(() => engine.data.value?.row.name)
const point = computed(() => {
  const points = engine.data.value?.points ?? []
  const wanted = picked.value || engine.data.value?.row.findings[0]?.point || engine.data.value?.row.driftPoint
  return points.find((p) => p.label === wanted) ?? points[0]
})
/** The open visit, also one that was opened on this tablet and waits to be sent. */
const goOn = computed(
  () =>
    engine.data.value?.row.openOverheadId ?? openedHere.value.find(({ entry }) => entry.engineId === props.id)?.visitId,
)
const open = (job: string) => router.push({ name: 'open', params: { engineId: props.id }, query: { job } })

useKeys(
  [
    { key: '← →', does: 'the history of the point before or after' },
    { key: 'M', does: 'read the hour meter' },
    { key: 'O', does: 'start an overhead, or go on with the open visit' },
  ],
  (event) => {
    const data = engine.data.value
    if (!data || isTyping(event) || document.querySelector('.modal.show')) return
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      const at = data.points.findIndex((p) => p.label === point.value?.label)
      const next = data.points[at + (event.key === 'ArrowRight' ? 1 : -1)]
      if (next) picked.value = next.label
    } else if (event.key.toLowerCase() === 'm') {
      event.preventDefault()
      meter.value = true
    } else if (event.key.toLowerCase() === 'o') {
      const id = goOn.value
      void (id ? router.push({ name: 'visit', params: { id } }) : open('overhead'))
    }
  },
)
</script>

<template>
  <Loaded v-slot="{ data }" :query="engine" what="engine" back="/" back-text="The yard">
    <main class="page">
      <div class="page-head">
        <EngineTitle :engine="data" @machine="machine = true" />
        <div class="d-flex gap-2 flex-wrap">
          <BButton v-if="goOn" class="btn-act" :to="{ name: 'visit', params: { id: goOn } }"
            >Go on with the open visit</BButton
          >
          <template v-else>
            <BButton class="btn-act" @click="open('overhead')">{{
              data.waiting[0] ? `Go on with ${data.waiting[0].points.join(', ')}` : 'Start an overhead'
            }}</BButton>
          </template>
          <BButton class="btn-plain" :to="{ name: 'engine-drift', params: { id } }">Drift</BButton>
          <MoreMenu end>
            <li v-if="!goOn"><button type="button" @click="open('spotCheck')">Spot check</button></li>
            <li><button type="button" @click="meter = true">Read the meter</button></li>
            <li><RouterLink :to="{ name: 'slip', params: { engineId: id } }">Report a problem…</RouterLink></li>
            <li>
              <TakeAlongButton
                :engine="{ engineId: id, name: data.row.name, machine: data.row.machineName, site: data.row.site }"
              />
            </li>
            <li><RouterLink :to="{ name: 'field-sheet', params: { engineId: id } }">Field sheet</RouterLink></li>
            <li><RouterLink :to="{ name: 'label', params: { engineId: id } }">Label</RouterLink></li>
            <li><a :href="`/api/logbook/export?engine=${id}`" download="logbook.csv">Export its logbook</a></li>
            <li><button type="button" @click="changing = true">Change…</button></li>
          </MoreMenu>
        </div>
      </div>

      <!-- Its story in three parts: now, each point, what was done; what it is stands beside. -->
      <div class="board">
        <div class="points">
          <h2 class="part">Each point</h2>
          <EngineHeads :points="data.points" :picked="point?.label" @pick="picked = $event" />
          <PointHistory
            v-if="point"
            class="mt-2"
            :point="point"
            :total-hours="data.totalHours"
            :points="data.points"
            :risk="risk"
            @pick="picked = $event"
          />
        </div>
        <aside class="side">
          <div class="now">
            <h2 class="part">Now</h2>
            <NextOverhead :row="data.row" />
            <LookAgain class="mt-2" :engine-id="id" :asked="data.row.voice.lookAgain" />
            <WhatWaits v-if="data.waiting.length" class="mt-2" :waiting="data.waiting" />
            <CallList :calls="data.row.calls" />
          </div>
          <div class="is">
            <h2 class="part">What it is</h2>
            <EngineLeft :engine-id="id" />
            <EngineShims
              v-if="data.type.shimSizesMm?.length || shimAdjusters.includes(data.type.adjuster)"
              :engine-id="id"
              class="mt-2"
            />
            <HoursAhead :engine-id="id" />
            <TypeFacts class="mt-2" :type="data.type" :marks="data.marks" />
            <OwnFigures
              :engine-id="id"
              :figures="data.ownFigures"
              :kinds="[...new Set(data.points.map((p) => p.kind))]"
            />
            <section class="plate p-3 mt-2">
              <h2>What it takes</h2>
              <p v-for="k in data.type.kit" :key="k.text" class="small mb-1">{{ k.text }}</p>
            </section>
          </div>
        </aside>
        <div class="done">
          <h2 class="part">What was done</h2>
          <EngineLedger :rows="data.ledger" />
        </div>
      </div>

      <MeterDialog v-model="meter" :engine-id="id" :readings="data.meter" />
      <MachineDialog v-model="machine" :machine-id="data.row.machineId" />
      <ChangeEngineDialog v-model="changing" :engine="data" />
    </main>
  </Loaded>
</template>

<style scoped>
.board {
  display: grid;
  grid-template:
    'points side'
    'done done' / minmax(0, 1fr) 366px;
  gap: 0.9rem;
  align-items: start;
}
.points {
  grid-area: points;
}
.side {
  grid-area: side;
}
.done {
  grid-area: done;
}
.part {
  margin: 0 0 0.4rem 0.2rem;
  font-size: 0.86rem;
  font-weight: 400;
  color: var(--ink-soft);
}
.is {
  margin-top: 0.9rem;
}
/* One column: in the order in which it is told. */
@media (max-width: 1050px) {
  .board {
    display: flex;
    flex-direction: column;
    align-items: stretch;
  }
  .side {
    display: contents;
  }
  .now {
    order: 1;
  }
  .points {
    order: 2;
  }
  .done {
    order: 3;
  }
  .is {
    order: 4;
    margin-top: 0;
  }
}
</style>
