<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useAddressed } from '../../shared/address/useAddressed'
import { useTitle } from '../../shared/address/useTitle'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import { isTyping, useKeys } from '../../shared/keys/keys'
import Loaded from '../../shared/loaded/Loaded.vue'
import { useEver } from '../../shared/loaded/useEver'
import { plural } from '../../shared/words/counts'
import { headline } from '../../shared/words/due'
import FirstSteps from './FirstSteps.vue'
import MarkLegend from './MarkLegend.vue'
import ThisWeek from './ThisWeek.vue'
import { useYardList } from './useYardList'
import YardAnswers from './YardAnswers.vue'
import YardRow from './YardRow.vue'
import YardTools from './YardTools.vue'

const yard = useQuery(() => queries.yard())
const router = useRouter()
const figures = useFigures()
const add = useAddressed('add')
// The form comes when somebody adds an engine; the yard itself is there without it.
const AddEngineDialog = defineAsyncComponent(() => import('../../shared/engines/AddEngineDialog.vue'))
const adding = ref(!!add.value)
const addedOnce = useEver(() => adding.value)
watch(add, (type) => type && (adding.value = true))
watch(adding, (open) => !open && add.value && (add.value = ''))
const picked = ref(-1)
const shown = ref(60)
const rows = computed(() => yard.data.value?.engines ?? [])
const { find, machine, site, sort, until, dueBy, sites, sorted, isNarrowed, clear } = useYardList(
  () => rows.value,
  figures,
  () => yard.data.value?.soonUntil,
)
/** Engines of which nothing is to be said stand folded below the others, until somebody asks. */
const unfolded = ref(false)
const isQuiet = (row: Schemas['DueRow']) => row.mark === 'none' && row.next.step === 'none'
const folded = computed(() => {
  const quiet = sorted.value.filter(isQuiet)
  // A handful is no list to be spared.
  return unfolded.value || find.value || sort.value !== 'urgency' || quiet.length < 5 ? [] : quiet
})
const unquiet = computed(() => (folded.value.length ? sorted.value.filter((r) => !isQuiet(r)) : sorted.value))
const page = computed(() => unquiet.value.slice(0, shown.value))
const span = 3000
useTitle(() => yard.data.value && `Yard, ${yard.data.value.fleet}`)
// A hidden engine is never the picked one.
watch(sorted, () => (picked.value = -1))

/** A site's name stands over its first engine where the yard is looked at site by site. */
const group = (i: number) =>
  sort.value === 'site' && page.value[i]?.site !== page.value[i - 1]?.site ? page.value[i]?.site : ''

useKeys(
  [
    { key: '↑ ↓', does: 'move through the list' },
    { key: 'Enter', does: 'open the engine' },
  ],
  (event) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      if (isTyping(event) && (event.target as HTMLElement).id !== 'find') return
      event.preventDefault()
      picked.value = Math.min(page.value.length - 1, Math.max(0, picked.value + (event.key === 'ArrowDown' ? 1 : -1)))
      document.getElementById(`row-${page.value[picked.value]?.engineId}`)?.focus()
    } else if (event.key === 'Enter' && (event.target as HTMLElement).id === 'find' && sorted.value[0]) {
      void router.push({ name: 'engine', params: { id: sorted.value[0].engineId } })
    }
  },
)
</script>

<template>
  <Loaded v-slot="{ data }" :query="yard" what="yard">
    <main class="page">
      <div class="page-head">
        <div>
          <h1>{{ headline(rows, yard.data.value!.early) }}</h1>
          <p v-if="rows.length" class="soft small mb-0 mt-1">
            {{ data.fleet }} ·
            {{
              sorted.length === rows.length
                ? plural(rows.length, 'engine')
                : `${sorted.length} of ${rows.length} engines`
            }}
            <template v-if="dueBy"> due by {{ day(dueBy) }}</template>
            · hours from today to the first limit
          </p>
        </div>
        <YardTools
          v-if="rows.length"
          v-model:find="find"
          v-model:machine="machine"
          v-model:site="site"
          v-model:sort="sort"
          v-model:until="until"
          :sites="sites"
          :is-narrowed="isNarrowed"
          @add="adding = true"
        />
      </div>
      <YardAnswers v-if="rows.length" />

      <FirstSteps v-if="rows.length === 0" @add="adding = true" />
      <template v-else>
        <MarkLegend />
        <div class="row-grid head caps" aria-hidden="true">
          <span />
          <span>Engine</span>
          <span>Why</span>
          <span class="scale figure">
            <span v-for="h in [0, 1000, 2000, 3000]" :key="h">{{ h === 0 ? 'now' : hours(h) }}</span>
          </span>
          <span>Next step</span>
        </div>
        <template v-for="(row, i) in page" :key="row.engineId">
          <h2 v-if="group(i)" class="group">{{ group(i) }}</h2>
          <YardRow :row="row" :span="span" />
        </template>
        <p v-if="sorted.length === 0" class="plate p-3">
          Nothing in the yard matches.
          <BButton v-if="isNarrowed" class="btn-plain ms-2" @click="clear">Show all</BButton>
        </p>
        <div v-if="unquiet.length > shown" class="text-center mt-3">
          <BButton class="btn-plain" @click="shown += 200"
            >Show more: {{ plural(unquiet.length - shown, 'engine') }} below</BButton
          >
        </div>
        <p v-if="folded.length" class="quiet soft">
          {{ plural(folded.length, 'engine') }} more: nothing before their interval.
          <button type="button" class="text-link" @click="unfolded = true">Show them</button>
        </p>
        <ThisWeek />
      </template>
      <AddEngineDialog
        v-if="addedOnce"
        v-model="adding"
        :of-type="add"
        @added="(engine) => router.push({ name: 'engine', params: { id: engine.row.engineId } })"
      />
    </main>
  </Loaded>
</template>

<style scoped>
.group {
  margin: 1rem 0.75rem 0.4rem;
}
.head {
  padding: 0.2rem 1rem 0.3rem;
}
.quiet {
  margin: 0.6rem 0.75rem;
}
.scale {
  display: flex;
  justify-content: space-between;
  letter-spacing: 0;
  text-transform: none;
  max-width: 400px;
  padding: 0 0 0 4px;
}
@media print {
  /* Paper is narrow: every second hour stands. */
  .scale span:nth-child(even) {
    display: none;
  }
}
</style>
