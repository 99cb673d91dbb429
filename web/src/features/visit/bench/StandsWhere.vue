<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { usePreferences } from '../../../shared/preferences'
import { gearNamed, isFree } from '../../../shared/words/gear'
import type { Sheet } from './useVisit'

/** Where the crank stands before anybody turns it: what rocks, or what is loose at a mark. The plan begins there. */
const props = defineProps<{ sheet: Sheet }>()
const emit = defineEmits<{ stands: [crankDeg: number, said: string, isStop: boolean]; atOne: [] }>()
const preferences = usePreferences()

const fires = (cylinder: number) => props.sheet.firingAnglesDeg[props.sheet.firingOrder.indexOf(cylinder)] ?? 0
const cylinders = computed(() => [...props.sheet.firingOrder].sort((a, b) => a - b))
const fourStroke = computed(() => props.sheet.cycleDeg === 720)
const compressionAt = (deg: number) =>
  props.sheet.firingOrder.find(
    (_, i) => Math.abs(((((props.sheet.firingAnglesDeg[i]! - deg + 720) % 720) + 1) % 720) - 1) < 1e-3,
  )
const isStop = (deg: number) =>
  props.sheet.stops.some((s) => s.crankDeg != null && Math.abs(((s.crankDeg - deg + 720.5) % 720) - 0.5) < 1e-3)

function rocks(cylinder: number) {
  const deg = (fires(cylinder) + 360) % 720
  emit('stands', deg, `${cylinder} rocks`, isStop(deg))
}
function loose(cylinder: number) {
  const deg = fires(cylinder)
  emit('stands', deg, `${cylinder} loose at its mark`, isStop(deg))
}
function always(where: boolean) {
  preferences.beginsWhereItStands = { ...preferences.beginsWhereItStands, [preferences.person]: where }
  if (!where) emit('atOne')
}
</script>

<template>
  <div>
    <h1 tabindex="-1">Where does the crank stand?</h1>
    <p class="mb-2">Look before you turn. The plan turns round to it; every turn counts from there.</p>
    <template v-if="fourStroke">
      <h2 class="mb-1">Which one rocks: exhaust closing, intake opening?</h2>
      <div class="grid" role="group" aria-label="Which one rocks">
        <BButton v-for="c in cylinders" :key="c" class="btn-plain" @click="rocks(c)">
          {{ c }} rocks<span v-if="compressionAt((fires(c) + 360) % 720)" class="small soft d-block"
            >{{ compressionAt((fires(c) + 360) % 720) }} on compression</span
          >
        </BButton>
      </div>
    </template>
    <h2 class="mt-3 mb-1">
      Or which stands at its mark with {{ gearNamed(sheet.gear) }}
      {{ sheet.gear.gear === 'bucket' ? 'pointing away' : 'loose' }}?
    </h2>
    <div class="grid" role="group" aria-label="Which is loose at its mark">
      <BButton v-for="c in cylinders" :key="c" class="btn-plain" @click="loose(c)">{{ isFree(sheet.gear, c) }}</BButton>
    </div>
    <div class="mt-3 d-flex gap-2 flex-wrap">
      <BButton class="btn-plain" @click="emit('atOne')"
        >It stands nowhere like that: begin at {{ sheet.firingOrder[0] }}</BButton
      >
      <BButton class="btn-plain" @click="always(!preferences.beginsWhereItStands[preferences.person])">{{
        preferences.beginsWhereItStands[preferences.person] ? 'Always begin at 1' : 'Always ask me this first'
      }}</BButton>
    </div>
  </div>
</template>

<style scoped>
.grid .btn {
  flex-direction: column;
  line-height: 1.2;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
  gap: 8px;
}
</style>
