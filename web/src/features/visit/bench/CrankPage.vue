<script setup lang="ts">
import { computed } from 'vue'
import CrankDial from '../../../instruments/CrankDial.vue'
import { useTitle } from '../../../shared/address/useTitle'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { usePreferences } from '../../../shared/preferences'
import { useAwake } from '../../../shared/signals/useAwake'
import { spoken } from '../../../shared/words/points'
import { travelText, turnText, watchText } from '../../../shared/words/turns'
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
const stands = computed(() => sheet.value?.standsDeg ?? null)
/** Where the eye is on the valves the mate watches one of them. */
const watched = computed(() => {
  const s = sheet.value
  const label = view.value?.next?.point
  if (!s?.byEye || !label) return null
  const point = s.points.find((p) => p.label === label)!
  if (view.value!.provedPoints.includes(label)) return 'Hold it here.'
  return s.method === 'lobeAway'
    ? s.lobeAway?.here.includes(label)
      ? 'Hold it here.'
      : `Turn until the lobe of ${spoken(point)} points away.`
    : watchText(s.method, s.stops[point.stopIndex]!)
})
const turning = computed(() => !!stop.value && !stop.value.proved && watched.value !== 'Hold it here.')
const say = computed(() => {
  const v = view.value
  if (!v || !stop.value) return ''
  if (v.state === 'abandoned') return 'Given up. Leave the crank.'
  if (v.signed) return 'Signed. Leave the crank.'
  if (v.next?.do === 'condition' || (v.next?.do === 'step' && !sheet.value?.conditionKnown))
    return 'Wait. It is not safe to bar yet.'
  if (v.next?.do === 'step' || v.next?.do === 'sign') return 'Done barring. Leave the crank.'
  if (watched.value) return watched.value
  if (stop.value.proved) return 'Hold it here.'
  if (sheet.value?.method === 'rocking') return watchText('rocking', stop.value)
  return turnText(stop.value, type.value!) ?? 'Bar forwards until this stop.'
})
const isOpen = computed(() => view.value?.state === 'open' && !!sheet.value?.conditionKnown)
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet && stop" class="crank">
      <p class="soft">
        {{ view.context?.engine.name
        }}<template v-if="!sheet.byEye"> · stop {{ index + 1 }} of {{ sheet.stops.length }}</template> ·
        {{ type?.rotation }}
      </p>
      <h1 class="say" aria-live="assertive">{{ say }}</h1>
      <p v-if="isOpen && turning && type?.pins" class="pins" role="note">{{ type.pins }} out?</p>
      <p v-if="!sheet.byEye" class="sign">{{ stop.sign }}</p>
      <p v-if="type?.pastTdc">{{ travelText(type.pastTdc) }}</p>
      <CrankDial
        class="dial"
        :cycle="sheet.cycleDeg"
        :order="sheet.firingOrder"
        :angles="sheet.firingAnglesDeg"
        :crank="stands"
        :next="stop.crankDeg"
        :room-back="stop.proved ? stop.roomBackDeg : null"
        :room-forward="stop.proved ? stop.roomForwardDeg : null"
        :next-room-back="stop.roomBackDeg"
        :next-room-forward="stop.roomForwardDeg"
        :anticlockwise="sheet.anticlockwise"
        :caption="stop.sign"
      />
      <p v-if="stop.roomBackDeg != null && !sheet.byEye" class="mb-1">
        {{ Math.round(stop.roomBackDeg) }}° back, {{ Math.round(stop.roomForwardDeg ?? 0) }}° on before a valve lifts.
      </p>
      <p v-if="isOpen && turning && type?.interference" class="is-tight">Stop at any resistance.</p>
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
.pins {
  font-size: 1.8rem;
  font-weight: 700;
  border: 3px solid var(--ink);
  padding: 0.3rem 0.8rem;
  display: inline-block;
}
.sign {
  font-size: 1.6rem;
}
.dial {
  max-width: 420px;
  margin: 0 auto;
}
</style>
