<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { queries } from '../../api/queries'
import { goneSince } from '../../api/reach'
import { taken } from '../../offline/taken'
import Field from '../../shared/fields/Field.vue'
import { today } from '../../shared/figures/days'
import { plural } from '../../shared/words/counts'
import { choices, offers, toTake } from './offers'
import { useTaking } from '../../offline/useTaking'

/** What to take along: the engines of the day's plan, the next that are due, a machine, a site. */
const yard = useQuery(() => queries.yard())
const plan = useQuery(() => queries.plan(7))
const { take, busy, failure } = useTaking()
const have = computed(() => new Set(taken.value.map((t) => t.engineId)))
const rows = computed(() => yard.data.value?.engines ?? [])
const offered = computed(() => offers(rows.value, plan.data.value ?? null, have.value, today()))
const whole = computed(() => choices(rows.value))
const chosen = ref('')
const engines = computed(() => whole.value.find((c) => c.key === chosen.value)?.engines ?? [])
</script>

<template>
  <section class="plate p-3">
    <h2>Download for offline</h2>
    <p v-if="goneSince !== null" class="mt-2 mb-0">The server cannot be reached; what is on this tablet stays.</p>
    <template v-else>
      <template v-for="offer in offered" :key="offer.why">
        <p class="caps mt-3 mb-1">{{ offer.why }}</p>
        <ul class="offers">
          <li v-for="row in offer.engines" :key="row.engineId">
            <span
              >{{ row.name }} <span class="soft small">{{ row.site }}</span></span
            >
            <BButton
              class="btn-plain"
              :disabled="!!busy"
              :aria-label="`Download ${row.name} for offline`"
              @click="take([toTake(row)])"
              >Download</BButton
            >
          </li>
        </ul>
      </template>
      <form class="mt-3" @submit.prevent="take(engines.map(toTake))">
        <Field v-slot="{ bind }" label="A machine or a whole site">
          <BFormSelect v-bind="bind" v-model="chosen">
            <option value="">choose…</option>
            <optgroup v-for="group in ['Sites', 'Machines'] as const" :key="group" :label="group">
              <option v-for="c in whole.filter((w) => w.group === group)" :key="c.key" :value="c.key">
                {{ c.name }}, {{ plural(c.engines.length, 'engine') }}
              </option>
            </optgroup>
          </BFormSelect>
        </Field>
        <BButton class="btn-act w-100" type="submit" :disabled="!engines.length || !!busy">{{
          busy || (engines.length ? `Download ${plural(engines.length, 'engine')}` : 'Download')
        }}</BButton>
      </form>
      <p v-if="failure" class="complaint mt-2 mb-0" role="alert">{{ failure }}</p>
    </template>
  </section>
</template>

<style scoped>
.offers {
  list-style: none;
  padding: 0;
  margin: 0;
}
.offers li .btn {
  white-space: nowrap;
}
.offers li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  min-height: 52px;
  border-top: 1px solid var(--hairline);
}
</style>
