<script setup lang="ts">
import { computed, ref } from 'vue'
import { sentence } from '../../../api/client'
import { useTitle } from '../../../shared/address/useTitle'
import { day } from '../../../shared/figures/days'
import { isTyping, useKeys } from '../../../shared/keys/keys'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { counted, form } from '../../../shared/words/counts'
import { policySays } from '../../../shared/words/shims'
import BenchDrawers from './BenchDrawers.vue'
import BenchHead from './BenchHead.vue'
import BenchOrder from './BenchOrder.vue'
import BenchRows from './BenchRows.vue'
import BenchWhy from './BenchWhy.vue'
import JobOnBench from './JobOnBench.vue'
import { useShimDrag } from './useShimDrag'
import { useBench } from './useBench'

/** The shim bench: one engine, or several of a place, decided as a whole before anything is taken apart. */
const bench = useBench()
const { query, pins } = bench
const pickedId = ref('')
useTitle(() => query.data.value && `${query.data.value.engines.map((e) => e.engine).join(', ')}: shim bench`)
const picked = computed(() => {
  const points = query.data.value?.points ?? []
  return (
    points.find((p) => p.id === pickedId.value) ??
    points.find((p) => p.short || p.standing === 'closedUp') ??
    points.find((p) => p.from && p.from !== 'own') ??
    points[0]
  )
})
/** A choice that cannot hold beside the others is said, and the bench before it stays in sight. */
const refused = computed(() => (pins.value.length ? query.error.value : null))
const headline = computed(() => {
  const b = query.data.value
  if (!b) return ''
  const bought = b.bought ? `, ${counted(b.bought).toLowerCase()} ${form(b.bought, 'is', 'are')} bought` : ''
  return b.moved === 0
    ? 'Every shim stays where it is'
    : `${counted(b.moved)} ${form(b.moved, 'shim moves', 'shims move')}${bought}`
})
const below = computed(() => {
  const b = query.data.value
  if (!b) return ''
  const stays = b.points.filter((p) => p.from === 'own').length
  const open = b.points.filter((p) => p.standing !== 'placed' && p.standing !== 'notJudged').length
  return [
    `${counted(stays).toLowerCase()} ${form(stays, 'stays', 'stay')}`,
    b.outside && `${b.outside} left outside`,
    open && `${open} not decided yet`,
  ]
    .filter(Boolean)
    .join(', ')
})
const unitOf = (visitId: string) => query.data.value?.engines.find((e) => e.visitId === visitId)?.unit ?? 'mm'
const shims = useShimDrag((id, mm) => {
  bench.pin(id, mm)
  pickedId.value = id
})
const over = computed(() => shims.over.value)
function step(by: number) {
  const points = query.data.value?.points ?? []
  const next = points[points.findIndex((p) => p.id === picked.value?.id) + by]
  if (next) pickedId.value = next.id
}
function change(by: number) {
  const p = picked.value
  if (!p || p.standing !== 'placed') return
  const sizes = p.options.map((o) => o.shimMm).sort((a, b) => a - b)
  const next = sizes[sizes.indexOf(p.shimMm!) + by]
  if (next != null) bench.pin(p.id, next)
}
useKeys(
  [
    { key: '↑ ↓', does: 'the point before or after' },
    { key: '← →', does: 'a thinner or a thicker shim there' },
    { key: 'F', does: 'free the choice made by hand' },
  ],
  (event) => {
    if (isTyping(event) || event.target instanceof HTMLSelectElement || document.querySelector('.modal.show')) return
    const does: Record<string, () => void> = {
      ArrowUp: () => step(-1),
      ArrowDown: () => step(1),
      ArrowLeft: () => change(-1),
      ArrowRight: () => change(1),
      f: () => picked.value && bench.free(picked.value.id),
    }
    const act = does[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!act) return
    event.preventDefault()
    act()
  },
)
</script>

<template>
  <Loaded v-slot="{ data }" :query="query" what="visit to decide shims for" back="/shims" back-text="Shims">
    <main class="page">
      <BenchHead v-model="bench.policy.value" :engines="data.engines" />

      <div class="board">
        <section class="plate p-3 rows-plate">
          <div class="d-flex justify-content-between gap-3 flex-wrap mb-2">
            <h2>
              {{ headline }}
              <span class="soft small fw-normal"
                >{{ below }}: {{ policySays[data.policy].toLowerCase().replace(/\.$/, '') }}</span
              >
            </h2>
            <span class="d-flex gap-3 align-items-center">
              <label v-if="data.canKeepLoose" class="ticked small">
                <input
                  type="checkbox"
                  class="form-check-input m-0"
                  :checked="bench.loose.value === 'yes'"
                  @change="bench.loose.value = bench.loose.value === 'yes' ? '' : 'yes'"
                />
                keep a little loose where the seat recedes
              </label>
              <button v-if="pins.length" type="button" class="text-link small" @click="bench.free()">
                Free {{ pins.length === 1 ? 'the choice' : `all ${pins.length} choices` }} made by hand
              </button>
            </span>
          </div>
          <p v-if="refused" class="complaint" role="alert">
            {{ sentence(refused) }}
            <button type="button" class="text-link" @click="bench.free(pins.at(-1)?.point)">
              Take the last choice back
            </button>
          </p>
          <BenchRows
            :bench="data"
            :picked="picked?.id ?? ''"
            :over="over"
            @pick="pickedId = $event"
            @take="shims.take"
          />
          <p v-if="data.others.length || data.engines.length > 1" class="small mt-3 mb-0">
            <template v-if="data.others.length"
              >Decide together with
              <template v-for="(o, i) in data.others" :key="o.visitId"
                ><template v-if="i">, </template
                ><button type="button" class="text-link" @click="bench.add(o.visitId)">{{ o.engine }}</button> ({{
                  day(o.date)
                }})</template
              >.
            </template>
            <template v-if="data.engines.length > 1">
              <template v-for="e in data.engines" :key="e.visitId"
                ><button type="button" class="text-link me-2" @click="bench.take(e.visitId)">
                  Take {{ e.engine }} off
                </button></template
              >
            </template>
          </p>
        </section>
        <aside>
          <JobOnBench v-if="data.jobId" :id="data.jobId" />
          <BenchWhy
            v-if="picked"
            :key="picked.id"
            :point="picked"
            :unit="unitOf(picked.visitId)"
            :single="data.engines.length === 1"
            @pin="bench.pin(picked.id, $event)"
            @free="bench.free(picked.id)"
          />
          <BenchOrder v-if="!data.jobId" :bench="data" :body="bench.body.value" />
          <section
            v-for="e in data.engines.filter((x) => x.meanwhile && !data.jobId)"
            :key="e.visitId"
            class="plate p-3"
          >
            <h2>May {{ e.engine }} run meanwhile?</h2>
            <p class="mb-0 small">{{ e.meanwhile }} Decided with the order.</p>
          </section>
          <BenchDrawers :bench="data" @take="shims.take" />
        </aside>
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 0.9rem;
  align-items: start;
}
aside {
  display: grid;
  gap: 0.7rem;
}
.rows-plate {
  overflow-x: auto;
}
@media (max-width: 1100px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
