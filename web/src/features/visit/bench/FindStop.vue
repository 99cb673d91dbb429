<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import RoomStrip from '../../../instruments/RoomStrip.vue'
import type { Entry, Sign } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { mustBeFree } from '../../../shared/words/gear'
import { inTheBook } from '../../../shared/words/points'
import { travelText, turnText, watchText } from '../../../shared/words/turns'
import MarksHere from './MarksHere.vue'
import MateDialog from './MateDialog.vue'
import StandsWhere from './StandsWhere.vue'
import WhichLap from './WhichLap.vue'
import type { Visit } from './useVisit'

/** Finds a stop and proves it: by what is free and what rocks, or by another proof that fits; the first from where the crank stands. */
const props = defineProps<{ view: Visit; index: number }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const preferences = usePreferences()

const sheet = computed(() => props.view.sheet!)
const stop = computed(() => sheet.value.stops[props.index]!)
const type = computed(() => props.view.context!.type)
const begun = computed(() => sheet.value.standsDeg != null)
const asksWhere = ref(!begun.value && !!preferences.beginsWhereItStands[preferences.person])
const pinsOut = ref(false)
const pairing = ref(false)

const own = computed(() => stop.value.compressionCylinder)
const companion = computed(() => (stop.value.rockingCylinder !== own.value ? stop.value.rockingCylinder : null))
/** Watching a valve says all there is to say until it is known where the crank stands. */
const turn = computed(
  () =>
    turnText(stop.value, type.value) ??
    (sheet.value.method === 'rocking' ? '' : 'Bar forwards until this stop comes up.'),
)
const heading = computed(() =>
  sheet.value.method === 'rocking' && stop.value.rockingCylinder
    ? watchText('rocking', stop.value)
    : `Stop ${props.index + 1}: ${stop.value.sign}`,
)
const gear = computed(() => sheet.value.gear)
/** What the cards ask for themselves. */
const ownProof = computed(() => (gear.value.gear === 'bucket' ? 'lobesSeen' : 'rockersLoose'))
const looseProves = computed(() => stop.value.proofs.some((p) => p.kind === ownProof.value))
const otherProofs = computed(() => stop.value.proofs.filter((p) => p.kind !== ownProof.value && p.kind !== 'companion'))
const pins = computed(() => type.value.pins)

function prove(crankDeg: number, said?: string, signs?: Sign[]) {
  emit('say', { kind: 'positionProved', crankDeg, ...(signs ? { signs } : {}), ...(said ? { said } : {}) })
}
function standsWhere(crankDeg: number, said: string, isStop: boolean) {
  asksWhere.value = false
  if (isStop) prove(crankDeg, said)
  else emit('say', { kind: 'barredTo', crankDeg })
}
</script>

<template>
  <section>
    <StandsWhere v-if="asksWhere" :sheet="sheet" @stands="standsWhere" @at-one="asksWhere = false" />
    <template v-else>
      <h1 tabindex="-1">{{ heading }}</h1>
      <p v-if="turn" class="lead-line mb-1">{{ turn }}</p>
      <p v-if="type.pastTdc" class="mb-1">{{ travelText(type.pastTdc) }}</p>
      <p v-if="pins" class="pin" role="note">
        <label><input v-model="pinsOut" type="checkbox" /> Before every turn: {{ pins }} out?</label>
      </p>
      <p v-if="type.interference" class="small complaint mb-1">
        With the timing in doubt or the chain off a valve can meet its piston near any TDC: turn by hand, stop at any
        resistance.
      </p>
      <template v-if="own != null && companion != null && (!pins || pinsOut)">
        <WhichLap
          :sheet="sheet"
          :stop="stop"
          :own="own"
          :companion="companion"
          :loose-proves="looseProves"
          @prove="prove"
          @elsewhere="asksWhere = true"
        />
      </template>
      <template v-else-if="!pins || pinsOut">
        <p v-if="own != null && looseProves" class="mb-2">
          {{ mustBeFree(gear, own, sheet.cycleDeg === 360) }}
        </p>
        <p class="figure spaced">{{ inTheBook(sheet, stop.points) }}</p>
        <BButton class="btn-act w-100" size="lg" @click="prove(stop.crankDeg!)">
          {{ own != null ? `${own} is on compression: measure` : 'It stands here: measure' }}
        </BButton>
      </template>
      <p v-else class="soft">Tick that {{ pins }} is out to go on.</p>
      <div v-if="(!pins || pinsOut) && otherProofs.length" class="proofs">
        <span class="small soft">or proved by</span>
        <BButton v-for="p in otherProofs" :key="p.kind" class="btn-plain" @click="prove(stop.crankDeg!, p.sentence)">{{
          p.sentence
        }}</BButton>
      </div>
      <p v-if="stop.noMark && (!pins || pinsOut)" class="small mt-2 mb-1">{{ stop.noMark.sentence }}</p>
      <div class="below">
        <div v-if="stop.roomBackDeg != null && stop.roomForwardDeg != null">
          <h2 class="mb-1">Here the springs may roll it</h2>
          <RoomStrip :back="stop.roomBackDeg" :forward="stop.roomForwardDeg" />
          <p class="small soft mb-0">Hold it or wedge it, and look at the mark again.</p>
        </div>
        <MarksHere :visit-id="view.visitId" :stop="stop" :marks="sheet.marks" @say="(entry) => emit('say', entry)" />
      </div>
      <p class="small soft mt-2 mb-2">
        {{ type.rotation }}; {{ sheet.turnedBy || type.barringTool }}. Overshot? Go back well past and come forward
        again, so that the slack is taken up the same way.
      </p>
      <div class="even-buttons">
        <BButton class="btn-plain" @click="pairing = true">Screen for the mate at the crank</BButton>
        <BButton class="btn-plain" :to="{ name: 'stop-card', params: { id: view.visitId } }"
          >Stop card to print</BButton
        >
        <BButton class="btn-plain" :to="{ name: 'rim-tape', params: { id: view.visitId } }">Rim tape</BButton>
      </div>
      <MateDialog v-model="pairing" :visit-id="view.visitId" />
    </template>
  </section>
</template>

<style scoped>
.lead-line {
  font-size: 1.25rem;
}
.proofs .btn {
  font-weight: 400;
  font-size: 0.95rem;
  padding-inline: 0.7rem;
}
.proofs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-top: 10px;
}
.pin label {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
  font-weight: 700;
}
.pin input {
  width: 26px;
  height: 26px;
}
.below {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1rem;
  margin-top: 1rem;
}
@media (max-width: 760px) {
  .below {
    grid-template-columns: 1fr;
  }
}
</style>
