<script setup lang="ts">
import PersonField from '../../../shared/fields/PersonField.vue'
import { hours } from '../../../shared/figures/hours'
import { jobWord } from '../../../shared/words/jobs'
import { methodNames } from '../../../shared/words/methods'
import type { Step } from './useSteps'
import type { Sheet, Visit } from './useVisit'

/** Over the bench: which engine, who measures, and the steps of the visit. */
const person = defineModel<string>('person', { required: true })
defineProps<{
  view: Visit
  sheet: Sheet
  steps: { step: Step; text: string; done: boolean }[]
  step: Step
  closed: boolean
}>()
defineEmits<{ go: [step: Step]; ways: []; pause: [] }>()
</script>

<template>
  <header class="bar">
    <RouterLink class="name" :to="{ name: 'engine', params: { id: view.engineId } }"
      >‹ {{ view.context?.engine.name }}</RouterLink
    >
    <span class="soft small facts-line">
      {{ jobWord(view.job) }}
      <template v-if="sheet.shownHours != null">at {{ hours(sheet.shownHours) }} h · </template>{{ sheet.condition
      }}<template v-if="sheet.engineTemperatureC != null">, {{ sheet.engineTemperatureC }} °C</template
      ><template v-if="sheet.specRevision"> · book rev. {{ sheet.specRevision }}</template>
    </span>
    <div v-if="!closed" class="who small soft">
      <PersonField v-model="person" label="Who measures" />
    </div>
    <button v-if="!closed" type="button" class="btn btn-plain ways" @click="$emit('ways')">
      {{ methodNames[sheet.method] }}
    </button>
    <button
      v-if="!closed && !sheet.stillness?.isPaused"
      type="button"
      class="btn btn-plain ways"
      @click="$emit('pause')"
    >
      Pause
    </button>
    <RouterLink
      v-if="sheet.points.some((p) => p.shim && p.found)"
      class="btn btn-plain ways"
      :to="{ name: 'shim-bench', query: { visits: view.visitId } }"
      >Shim bench</RouterLink
    >
    <nav aria-label="Steps of the visit">
      <button
        v-for="s in steps"
        :key="String(s.step)"
        type="button"
        :class="{ here: s.step === step }"
        :aria-current="s.step === step ? 'step' : undefined"
        @click="$emit('go', s.step)"
      >
        <template v-if="s.done">✓ </template>{{ s.text }}
      </button>
    </nav>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 0.3rem 0.8rem;
  flex-wrap: wrap;
  background: var(--plate);
  border-bottom: 1.5px solid var(--line);
  padding: 0.35rem 1rem;
}
.name {
  font-weight: 700;
  font-size: 1.2rem;
  color: var(--ink);
  text-decoration: none;
  min-height: 44px;
  display: flex;
  align-items: center;
}
.who {
  width: 130px;
}
.ways {
  padding-inline: 0.7rem;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem;
  margin-left: auto;
}
nav button {
  min-height: 44px;
  min-width: 44px;
  padding: 0 0.5rem;
  background: none;
  border: 0;
  border-bottom: 4px solid transparent;
  color: var(--ink-soft);
}
nav button.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--blue);
}
@media print {
  .bar {
    display: none;
  }
}
</style>
