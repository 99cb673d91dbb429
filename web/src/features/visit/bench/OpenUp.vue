<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Entry } from '../../../offline/entries'
import { computed } from 'vue'
import { isFree, mustBeFree } from '../../../shared/words/gear'
import { begun as sentence } from '../../../shared/words/odds'
import { degreesText } from '../../../shared/words/turns'
import EarlierWork from './EarlierWork.vue'
import TickList from './TickList.vue'
import type { SheetStep, Visit } from './useVisit'

/** The covers come off: what the type asks then, signs of earlier work; or what comes first, at a crank position of its own. */
const props = defineProps<{ view: Visit; items: SheetStep[]; first: boolean; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const sheet = computed(() => props.view.sheet!)
const fires = computed(() => sheet.value.firingOrder[0]!)
/** The crank stands where this step belongs. */
const stands = (item: SheetStep) =>
  item.crankDeg == null || (props.view.crankDeg != null && Math.abs(props.view.crankDeg - item.crankDeg) < 1e-3)
const at = (item: SheetStep) =>
  Math.round(item.crankDeg!) === 0
    ? `TDC on compression of ${fires.value}`
    : `${degreesText(item.crankDeg!)} past TDC on compression of ${fires.value}`
/** On a mark that comes up twice the other lap is one whole turn away. */
const twoLaps = computed(() => sheet.value.cycleDeg === 720)
const otherLap = (deg: number) => (deg + 360) % 720
</script>

<template>
  <section>
    <h1 tabindex="-1">{{ first ? 'First, before any gap' : 'Open up' }}</h1>
    <template v-for="item in first ? items : []" :key="`bar ${item.step}`">
      <div v-if="!stands(item) && !closed && !item.ticked" class="mt-2 mb-2">
        <p class="mb-1">Bar forwards to {{ at(item) }}. At TDC: {{ mustBeFree(sheet.gear, fires, !twoLaps) }}</p>
        <BButton class="btn-act" @click="emit('say', { kind: 'barredTo', crankDeg: item.crankDeg! })">{{
          twoLaps ? `${sentence(isFree(sheet.gear, fires))}: it stands there` : 'It stands there'
        }}</BButton>
        <template v-if="twoLaps">
          <BButton
            v-if="view.crankDeg !== otherLap(item.crankDeg!)"
            class="btn-plain ms-2"
            @click="emit('say', { kind: 'barredTo', crankDeg: otherLap(item.crankDeg!) })"
            >The other lap</BButton
          >
          <p v-else class="complaint mt-2" role="status">Then bar one whole turn more, forwards, and look again.</p>
        </template>
      </div>
    </template>
    <TickList
      class="mt-2"
      :items="items"
      :view="view"
      :locked="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
    <template v-if="!first">
      <p v-if="!items.length" class="mt-2">Clean round the covers, catch the oil; nothing may fall in.</p>
      <EarlierWork
        v-if="!items.some((s) => s.asks)"
        :view="view"
        :closed="closed"
        @say="(entry) => emit('say', entry)"
      />
    </template>
  </section>
</template>
