<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Visit } from './useVisit'

const props = defineProps<{ view: Visit; index: number }>()
defineEmits<{ proved: [] }>()
const stop = computed(() => props.view.sheet!.stops[props.index]!)
const type = computed(() => props.view.context!.type)
const turn = computed(() => {
  const degrees = Math.round(stop.value.turnFromPreviousDeg)
  if (props.index === 0 || degrees === 0)
    return props.index === 0 ? 'Bar forwards until this stop comes up.' : 'The crank already stands here.'
  const turns = degrees === 360 ? 'one whole turn' : `${degrees}°`
  const tool =
    type.value.toolTurnsPerCrankTurn === 1
      ? ''
      : `, ${Math.round(stop.value.toolTurnsFromPrevious * 10) / 10} turns of the barring tool`
  return `Bar forwards ${turns}${tool}.`
})
</script>

<template>
  <section>
    <h1 tabindex="-1">Stop {{ index + 1 }}: find it</h1>
    <p class="sign">{{ stop.sign }}</p>
    <p class="lead-line">{{ turn }}</p>
    <p class="soft">
      {{ type.rotation }}; {{ type.barringTool }}. Overshot? Go back well past and come forward again, so that the slack
      is taken up the same way.
    </p>
    <p v-if="stop.compressionCylinder && stop.rockingCylinder">
      Both rockers of <strong>{{ stop.compressionCylinder }}</strong> loose? Then it is compression. If
      {{ stop.rockingCylinder }} is loose instead, this is the overlap stroke: turn once more, forwards.
    </p>
    <p v-else-if="stop.compressionCylinder">
      Both rockers of <strong>{{ stop.compressionCylinder }}</strong> must be loose: if they rock, turn once more,
      forwards.
    </p>
    <p v-if="stop.roomBackDeg !== null && stop.roomForwardDeg !== null" class="soft">
      Room at this stop: {{ Math.round(stop.roomBackDeg ?? 0) }}° back, {{ Math.round(stop.roomForwardDeg ?? 0) }}°
      forwards. Hold the crank if the springs roll it.
    </p>
    <p class="points figure">{{ stop.points.join('  ') }}</p>
    <BButton class="btn-act w-100" size="lg" @click="$emit('proved')">
      {{
        stop.compressionCylinder ? `${stop.compressionCylinder} is on compression: measure` : 'It stands here: measure'
      }}
    </BButton>
    <RouterLink class="btn btn-plain w-100 mt-2" :to="{ name: 'crank', params: { id: view.visitId } }" target="_blank"
      >Screen for the mate at the crank</RouterLink
    >
  </section>
</template>

<style scoped>
.sign {
  font-size: 1.6rem;
  font-weight: 700;
  margin: 0.5rem 0 0.3rem;
}
.lead-line {
  font-size: 1.25rem;
}
.points {
  white-space: pre-wrap;
  font-size: 1.15rem;
}
</style>
