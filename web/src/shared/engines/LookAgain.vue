<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import { useFigures } from '../figures/useFigures'
import { toast } from '../toasts/toasts'
import { lookAgainText } from '../words/voice'

/** Figures so far not told apart from an outlier: a question each, answered by another look, now or in the plan. */
const props = defineProps<{ engineId: string; asked: Schemas['AskedPoint'][] }>()
const figures = useFigures()
const add = useWrite(writes.addJob)
const planned = ref<string[]>([])
async function plan(point: string) {
  try {
    await add.mutateAsync({ engineId: props.engineId, title: `Spot check ${point}` })
    planned.value.push(point)
    toast('It waits in the planner for its day.')
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <section v-if="asked.length" class="plate p-3" aria-label="Look again">
    <h2 class="mb-1">Look again?</h2>
    <div v-for="a in asked" :key="a.point" class="mb-2">
      <p class="mb-1">{{ lookAgainText(a, figures) }}</p>
      <BButton class="btn-plain btn-sm me-2" :to="{ name: 'open', params: { engineId }, query: { job: 'spotCheck' } }"
        >Spot check {{ a.point }}</BButton
      >
      <BButton v-if="!planned.includes(a.point)" class="btn-plain btn-sm" @click="plan(a.point)"
        >Put it into the plan</BButton
      >
    </div>
  </section>
</template>
