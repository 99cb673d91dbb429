<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../../api/client'
import type { Entry } from '../../../offline/entries'
import { degreesText } from '../../../shared/words/turns'
import EarlierWork from './EarlierWork.vue'
import TickList from './TickList.vue'
import type { Visit } from './useVisit'

/** The covers come off: what the type asks then, signs of earlier work; or what comes first, at a crank position of its own. */
const props = defineProps<{ view: Visit; items: Schemas['StepRecord'][]; first: boolean; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
/** The crank stands where this step belongs, or nobody has said where it stands. */
const stands = (item: Schemas['StepRecord']) =>
  item.crankDeg == null || (props.view.crankDeg != null && Math.abs(props.view.crankDeg - item.crankDeg) < 1e-3)
function tick(step: string, on: boolean, said?: string) {
  emit('say', { kind: 'ticked', step, on, ...(said ? { said } : {}) })
}
</script>

<template>
  <section>
    <h1 tabindex="-1">{{ first ? 'First, before any gap' : 'Open up' }}</h1>
    <template v-for="item in first ? items : []" :key="`bar ${item.step}`">
      <p v-if="!stands(item) && !closed && !view.ticked.includes(item.step)" class="mt-2 mb-1">
        Bar forwards to {{ degreesText(item.crankDeg!) }} past TDC on compression of {{ view.sheet!.firingOrder[0] }}.
        <BButton class="btn-act ms-2" @click="emit('say', { kind: 'barredTo', crankDeg: item.crankDeg! })"
          >It stands there</BButton
        >
      </p>
    </template>
    <TickList class="mt-2" :items="items" :view="view" :locked="closed" @tick="tick" />
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
