<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useTitle } from '../../shared/address/useTitle'
import Loaded from '../../shared/loaded/Loaded.vue'
import { plural } from '../../shared/words/counts'
import HeadMap from '../../instruments/HeadMap.vue'
import LiftChart from '../../instruments/LiftChart.vue'
import TypeFacts from '../../shared/facts/TypeFacts.vue'
import { adjusterNames } from '../../shared/words/valvetrains'
import { methodNames } from '../../shared/words/methods'
import { judgingNames, mannerNames, measuringNames, orderNames } from '../../shared/words/schools'
import { stepListNames } from '../../shared/words/steps'
import PlanText from '../../shared/facts/PlanText.vue'
import KitDialog from './KitDialog.vue'
import NotKnown from './NotKnown.vue'
import RevisionDialog from './RevisionDialog.vue'
import RevisionTable from './RevisionTable.vue'
import SchoolsDialog from './SchoolsDialog.vue'
import StepsDialog from './StepsDialog.vue'
import TypeSheet from './TypeSheet.vue'

const props = defineProps<{ id?: string }>()
const list = useQuery(() => queries.types())
const chosen = computed(() => props.id || list.data.value?.[0]?.id)
const type = useQuery(() => ({ ...queries.type(chosen.value ?? ''), enabled: !!chosen.value }))
useTitle(() => type.data.value && `Book, ${type.data.value.code}`)
const revising = ref(false)
const sheet = ref(false)
const changing = ref(false)
const steps = ref(false)
const kit = ref(false)
const ways = (t: Schemas['EngineTypeResponse']) =>
  [
    methodNames[t.method],
    orderNames[t.order].toLowerCase(),
    judgingNames[t.judging].toLowerCase(),
    mannerNames[t.manner].toLowerCase(),
    t.dialConversion == null
      ? ''
      : `${measuringNames[t.measuring].toLowerCase()}, ${t.dialConversion} of clearance a dial travel${t.dialContact ? ` ${t.dialContact}` : ''}`,
    t.pins ? `${t.pins} out before every turn` : '',
    t.interference ? 'a valve can meet its piston' : '',
    t.pulleyMm ? `marks on ${t.pulleyMm} mm` : '',
  ]
    .filter(Boolean)
    .join('; ') + '.'
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Book</h1>
        <p class="soft small mb-0 mt-1">
          engine types, their clearances and where those come from; old revisions stay beside the new
        </p>
      </div>
      <div class="d-flex gap-2 flex-wrap">
        <BButton class="btn-plain" @click="sheet = !sheet">From a sheet…</BButton>
        <RouterLink class="btn btn-act" to="/book-new">Add an engine type</RouterLink>
      </div>
    </div>
    <TypeSheet v-if="sheet" @done="sheet = false" />
    <Loaded part :query="list" what="book">
      <div v-if="list.data.value?.length === 0" class="plate p-4">
        <h2>The book is empty.</h2>
        <p class="mb-0 mt-2">
          Add your first engine type from its manual: firing order, valves along the head, clearances with their source.
          The turning plan is drawn as you type.
        </p>
      </div>
      <div v-else class="board">
        <nav class="plate" aria-label="Engine types">
          <RouterLink
            v-for="t in list.data.value ?? []"
            :key="t.id"
            :to="{ name: 'book', params: { id: t.id } }"
            :class="{ here: t.id === chosen }"
          >
            <strong>{{ t.code }}</strong>
            <span class="small soft">{{ t.name }}</span>
            <span class="small soft">
              {{ plural(t.points, 'point') }}, {{ adjusterNames[t.adjuster] }} · {{ t.engines }} in the yard
            </span>
          </RouterLink>
        </nav>
        <Loaded v-if="chosen" part :query="type" what="engine type" back="/book" back-text="The book">
          <div v-if="type.data.value" class="two">
            <section class="plate plate-strong p-3">
              <div class="d-flex justify-content-between gap-2 flex-wrap">
                <h2>{{ type.data.value.code }}: {{ methodNames[type.data.value.method].toLowerCase() }}</h2>
                <RouterLink class="btn btn-plain" :to="{ name: 'yard', query: { add: type.data.value.id } }"
                  >Add an engine of this type</RouterLink
                >
                <RouterLink class="btn btn-plain" :to="{ name: 'new-type', query: { copy: type.data.value.id } }"
                  >Copy as a new type</RouterLink
                >
              </div>
              <p class="small soft mb-1">
                {{
                  type.data.value.timingKnown
                    ? 'Valve timing of the book'
                    : 'Valve timing unknown: figures safe for most diesels'
                }}, {{ type.data.value.rampGuardDeg }}° ramp guard before and after every lift.
              </p>
              <LiftChart
                :cycle="type.data.value.plan.cycleDeg"
                :arcs="type.data.value.plan.openArcs"
                :stops="type.data.value.plan.stops"
              />
              <PlanText
                :plan="type.data.value.plan"
                :points="type.data.value.points"
                :as-listed="type.data.value.method === 'book'"
              />
            </section>
            <div>
              <section class="plate p-3 mb-2">
                <HeadMap still :points="type.data.value.points" />
              </section>
              <TypeFacts :type="type.data.value" heading="This type" />
              <NotKnown :key="type.data.value.id" class="mt-2" :type="type.data.value" />
              <section class="plate p-3 mt-2">
                <div class="d-flex justify-content-between align-items-center">
                  <h2>How its book does it</h2>
                  <button type="button" class="btn btn-plain" @click="changing = true">Change…</button>
                </div>
                <p class="mb-0">{{ ways(type.data.value) }} Letters: {{ type.data.value.lettersSpeltOut }}.</p>
              </section>
              <section class="plate p-3 mt-2">
                <div class="d-flex justify-content-between align-items-center">
                  <h2>Its steps</h2>
                  <button type="button" class="btn btn-plain" @click="steps = true">Change the steps…</button>
                </div>
                <p v-for="s in type.data.value.steps" :key="s.key!" class="small mb-1">
                  <span class="soft">{{ stepListNames[s.list as keyof typeof stepListNames] }}:</span> {{ s.text }}
                  <template v-if="s.asks"> {{ s.asks }}</template>
                </p>
                <p v-if="!type.data.value.steps.length" class="small soft mb-0">None of its own.</p>
              </section>
              <section class="plate p-3 mt-2">
                <div class="d-flex justify-content-between align-items-center">
                  <h2>What it takes</h2>
                  <button type="button" class="btn btn-plain" @click="kit = true">Change the kit…</button>
                </div>
                <p v-for="k in type.data.value.kit" :key="k.text" class="small mb-1">{{ k.text }}</p>
              </section>
              <section class="plate p-3 mt-2">
                <div class="d-flex justify-content-between align-items-center">
                  <h2>Revisions</h2>
                  <button type="button" class="btn btn-plain" @click="revising = true">Add a revision</button>
                </div>
                <RevisionTable :revisions="type.data.value.revisions" />
              </section>
            </div>
            <StepsDialog v-model="steps" :type="type.data.value" />
            <KitDialog v-model="kit" :type="type.data.value" />
            <SchoolsDialog v-model="changing" :type="type.data.value" />
            <RevisionDialog v-model="revising" :type="type.data.value" />
          </div>
        </Loaded>
      </div>
    </Loaded>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(300px, 1fr);
  gap: 14px;
  align-items: start;
}
nav a {
  display: block;
  padding: 0.55rem 0.9rem;
  border-left: 5px solid transparent;
  border-bottom: 1px solid var(--hairline);
  color: var(--ink);
  text-decoration: none;
}
nav a span {
  display: block;
  line-height: 1.25;
}
nav a.here {
  border-left-color: var(--blue);
  background: var(--blue-wash);
}
@media (max-width: 1050px) {
  .two,
  .board {
    grid-template-columns: 1fr;
  }
}
</style>
