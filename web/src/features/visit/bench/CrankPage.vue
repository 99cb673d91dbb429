<script setup lang="ts">
import { computed } from 'vue'
import TurningDial from '../../../instruments/TurningDial.vue'
import { useTitle } from '../../../shared/address/useTitle'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { usePreferences } from '../../../shared/preferences'
import { useAwake } from '../../../shared/signals/useAwake'
import { useVisit } from './useVisit'

/** For the mate at the crank: only the stop and the turn. */
const props = defineProps<{ id: string }>()
const preferences = usePreferences()
const { query, view, sheet } = useVisit(
  () => props.id,
  () => '',
)
useTitle(() => view.value && `Crank, ${view.value.context?.engine.name}`)
useAwake(() => preferences.keepAwake)
const type = computed(() => view.value?.context?.type)
const index = computed(() => {
  const label = view.value?.next?.point
  const found = sheet.value?.points.find((p) => p.label === label)?.stopIndex
  return found ?? (sheet.value ? sheet.value.stops.length - 1 : 0)
})
const stop = computed(() => sheet.value?.stops[index.value])
const next = computed(() => sheet.value?.stops[index.value + 1])
const say = computed(() => {
  const v = view.value
  if (!v || !stop.value) return ''
  if (v.state === 'abandoned') return 'Given up. Leave the crank.'
  if (v.signed) return 'Signed. Leave the crank.'
  if (v.next?.do === 'condition' || (v.next?.do === 'step' && !sheet.value?.conditionKnown))
    return 'Wait. It is not safe to bar yet.'
  if (v.next?.do === 'step' || v.next?.do === 'sign') return 'Done barring. Leave the crank.'
  if (stop.value.proved) return 'Hold it here.'
  const degrees = Math.round(stop.value.turnFromPreviousDeg)
  if (index.value === 0 || degrees === 0) return 'Bar forwards until this stop.'
  const tool = type.value?.toolTurnsPerCrankTurn ?? 1
  return `Bar forwards ${degrees === 360 ? 'one whole turn' : `${degrees}°`}${tool === 1 ? '' : `: ${Math.round(stop.value.toolTurnsFromPrevious * 10) / 10} turns of the tool`}.`
})
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet && stop" class="crank">
      <p class="soft">
        {{ view.context?.engine.name }} · stop {{ index + 1 }} of {{ sheet.stops.length }} · {{ type?.rotation }}
      </p>
      <h1 class="say" aria-live="assertive">{{ say }}</h1>
      <p class="sign">{{ stop.sign }}</p>
      <TurningDial
        class="dial"
        :cycle="sheet.cycleDeg"
        :order="sheet.firingOrder"
        :angles="sheet.firingAnglesDeg"
        :crank="stop.crankDeg"
        :next="next?.crankDeg"
        :room-back="stop.roomBackDeg"
        :room-forward="stop.roomForwardDeg"
        :caption="stop.sign"
      />
      <p class="soft">Hands clear before anyone bars; one person calls.</p>
    </main>
  </Loaded>
</template>

<style scoped>
.crank {
  text-align: center;
  padding: 1.5rem;
}
.say {
  font-size: clamp(2.2rem, 6vw, 4rem);
  font-weight: 700;
  line-height: 1.1;
}
.sign {
  font-size: 1.6rem;
}
.dial {
  max-width: 420px;
  margin: 0 auto;
}
</style>
