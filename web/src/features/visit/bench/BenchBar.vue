<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { hours } from '../../../shared/figures/hours'
import { jobWord } from '../../../shared/words/jobs'
import { methodNames } from '../../../shared/words/methods'
import type { Step } from './useSteps'
import type { Sheet, Visit } from './useVisit'

/** Over the bench: which engine, who measures, and the steps of the visit. */
const person = defineModel<string>('person', { required: true })
const props = defineProps<{
  view: Visit
  sheet: Sheet
  steps: { step: Step; text: string; done: boolean }[]
  step: Step
  closed: boolean
  stop?: Sheet['stops'][number]
}>()
defineEmits<{ go: [step: Step]; ways: []; pause: [] }>()
/** Where the crank stands, where its picture is further down the page. */
const stands = computed(() =>
  props.closed || props.view.bench || props.stop?.crankDeg == null || !props.stop.proved
    ? ''
    : `Stop ${props.stop.index + 1}: ${props.stop.sign.replace(/\.$/, '')}`,
)
const nav = useTemplateRef<HTMLElement>('nav')
// On a phone the steps are one line that scrolls: the present one stands in its middle.
watch(
  () => props.step,
  () =>
    nextTick(() => {
      const here = nav.value?.querySelector<HTMLElement>('.here')
      if (here) nav.value!.scrollLeft = here.offsetLeft + here.offsetWidth / 2 - nav.value!.clientWidth / 2
    }),
  { immediate: true },
)
const toCrank = () => document.getElementById('crank')?.scrollIntoView({ block: 'center' })
</script>

<template>
  <header class="bar">
    <div class="what">
      <RouterLink class="name" :to="{ name: 'engine', params: { id: view.engineId } }"
        >‹ {{ view.context?.engine.name }}</RouterLink
      >
      <span class="soft small facts-line">
        {{ jobWord(view.job) }}
        <template v-if="sheet.shownHours != null">at {{ hours(sheet.shownHours) }} h · </template>{{ sheet.condition
        }}<template v-if="sheet.engineTemperatureC != null">, {{ sheet.engineTemperatureC }} °C</template
        ><template v-if="sheet.specRevision"> · book rev. {{ sheet.specRevision }}</template>
      </span>
    </div>
    <button v-if="stands" type="button" class="chip" @click="toCrank">⟳ {{ stands }}</button>
    <div v-if="!closed" class="who small soft">
      <PersonField v-model="person" label="Who measures" />
    </div>
    <button
      v-if="!closed"
      type="button"
      class="btn btn-plain ways"
      :aria-label="`${methodNames[sheet.method]}: ways of working`"
      @click="$emit('ways')"
    >
      <span class="method">{{ methodNames[sheet.method] }}</span>
      <span class="short" aria-hidden="true">Ways</span>
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
    <nav ref="nav" aria-label="Steps of the visit">
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
.facts-line {
  display: block;
  margin-top: -0.6rem;
  line-height: 1.2;
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
.chip {
  display: none;
  min-height: 44px;
  max-width: 18rem;
  padding: 0 0.9rem;
  border: 1.4px solid var(--ink);
  border-radius: 22px;
  background: var(--plate);
  color: var(--ink);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.short {
  display: none;
}
/* One row of what is done and one of steps: the rest of a phone is the point's. */
@media (max-width: 600px) {
  .bar {
    gap: 0.2rem 0.4rem;
    padding-inline: 0.6rem;
  }
  .who {
    flex: 1 1 6rem;
    min-width: 6rem;
    width: auto;
  }
  .method {
    display: none;
  }
  .short {
    display: inline;
  }
  .ways {
    padding-inline: 0.5rem;
  }
  nav button {
    flex: none;
  }
  nav {
    flex: 1 0 100%;
    flex-wrap: nowrap;
    overflow-x: auto;
    white-space: nowrap;
    scrollbar-width: none;
  }
}
@media (max-width: 1100px) {
  .chip {
    display: inline-block;
  }
  .facts-line {
    display: none;
  }
}
@media print {
  .bar {
    display: none;
  }
}
</style>
