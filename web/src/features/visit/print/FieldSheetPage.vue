<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import { foldBlank } from '../../../offline/foldedVisit'
import { useTitle } from '../../../shared/address/useTitle'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { methodNames } from '../../../shared/words/methods'
import { spoken } from '../../../shared/words/points'
import { watchText } from '../../../shared/words/turns'

/** A blank sheet in this engine's order: what to bring, what to make safe, every point with room for found and left. */
const props = defineProps<{ engineId: string }>()
const blank = useQuery(() => ({ queryKey: ['field-sheet', props.engineId], queryFn: () => foldBlank(props.engineId) }))
useTitle(() => blank.data.value && `Field sheet, ${blank.data.value.context?.engine.name}`)
const unit = computed<Unit>(() =>
  blank.data.value?.sheet?.points.find((p) => p.specUnit)?.specUnit === 'thou' ? 'thou' : 'mm',
)
const figures = useFigures(() => unit.value)
const hasShims = computed(() => blank.data.value?.sheet?.points.some((p) => p.shim))
const print = () => window.print()
/** The lines of a list that an overhead asks, or counts. */
const list = (which: Schemas['StepList']) =>
  blank.data.value?.sheet?.steps.filter(
    (s) => s.list === which && (s.asked || !!s.counts || which === 'kit' || which === 'point'),
  ) ?? []
const point = (label: string) => blank.data.value!.sheet!.points.find((p) => p.label === label)!
/** Steps at points, each said once with all the points it belongs to. */
const atPoints = computed(() => {
  const byKey = new Map<string, { text: string; points: string[] }>()
  for (const s of list('point')) {
    const key = s.step.split(':')[0]!
    const known = byKey.get(key)
    if (known) known.points.push(s.point!)
    else byKey.set(key, { text: s.text, points: [s.point!] })
  }
  return [...byKey.values()].map(({ text, points }) => text.replace(points[0]!, points.join(' ')))
})
</script>

<template>
  <Loaded v-slot="{ data }" :query="blank" what="engine" back="/" back-text="The yard">
    <main v-if="data.sheet && data.context" class="page paper">
      <PaperHead what="Field sheet" />
      <div class="page-head">
        <div>
          <h1>{{ data.context.engine.name }}: field sheet</h1>
          <p class="mb-0">
            {{ data.context.type.code }} · {{ methodNames[data.sheet.method] }} · {{ data.context.type.rotation }} ·
            rev. {{ data.sheet.specRevision ?? 'none' }}, {{ data.sheet.condition }} · {{ data.sheet.letters }}
          </p>
        </div>
        <div class="no-print d-flex gap-2">
          <BButton class="btn-act" @click="print">Print</BButton>
          <BButton class="btn-plain" :to="{ name: 'engine', params: { id: engineId } }">The engine</BButton>
        </div>
      </div>
      <p class="fill">
        Date ________________ Meter ____________ h Who ____________________ Blades ______________ Temperature ______ °C
      </p>
      <p v-if="hasShims" class="small mb-1">Shims known ☐ by micrometer ☐ as printed ☐ lapped, by micrometer</p>
      <p class="small mb-1">{{ data.context.foremost }}</p>
      <div class="lists">
        <div>
          <h2>To bring</h2>
          <p v-for="s in list('kit')" :key="s.step" class="box">{{ s.text }}</p>
        </div>
        <div>
          <h2>Before</h2>
          <p v-for="s in [...list('makeSafe'), ...list('covers'), ...list('stop')]" :key="s.step" class="box">
            {{ s.text }}
          </p>
        </div>
      </div>
      <p v-for="text in atPoints" :key="text" class="box">{{ text }}</p>
      <table class="sheet">
        <thead class="caps">
          <tr>
            <th>Valve</th>
            <th>Asked</th>
            <th class="write">Found</th>
            <th v-if="hasShims" class="write">Shim, old → new</th>
            <th class="write">Left</th>
            <th class="note">Note</th>
          </tr>
        </thead>
        <tbody v-for="stop in data.sheet.stops" :key="stop.index">
          <tr v-if="stop.crankDeg != null">
            <td :colspan="hasShims ? 6 : 5" class="stop">
              ☐ {{ stop.index + 1 }}. {{ watchText(data.sheet.method, stop) }}
            </td>
          </tr>
          <tr v-for="label in stop.points" :key="label">
            <td>{{ point(label).bookName ? `${point(label).bookName} · ` : '' }}{{ spoken(point(label)) }}</td>
            <td class="figure asked">
              <template v-if="point(label).minMm != null"
                >{{ figures.range(point(label).minMm, point(label).maxMm) }}
                <span class="small">{{ figures.otherRange(point(label).minMm, point(label).maxMm) }}</span></template
              ><template v-else>{{ point(label).specWritten ?? '—' }}</template>
            </td>
            <td></td>
            <td v-if="hasShims"></td>
            <td></td>
            <td></td>
          </tr>
        </tbody>
      </table>
      <div class="lists mt-2">
        <div>
          <h2>Close up</h2>
          <p v-for="s in [...list('beforeCloseUp'), ...list('closeUp')]" :key="s.step" class="box">{{ s.text }}</p>
        </div>
        <div>
          <h2>Not looked at, parts, remarks</h2>
          <p class="fill">__________________________________________</p>
          <p class="fill">__________________________________________</p>
          <p class="fill">Signed ___________________________________</p>
        </div>
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 1.5rem;
}
h2 {
  font-size: 1rem;
  margin: 0.4rem 0 0.2rem;
}
.box {
  margin: 0;
  font-size: 0.85rem;
  padding-left: 1.3rem;
  text-indent: -1.3rem;
}
.box::before {
  content: '☐  ';
}
.fill {
  white-space: pre-wrap;
  margin: 0.6rem 0;
}
.sheet {
  width: 100%;
  border-collapse: collapse;
  margin-top: 0.6rem;
}
.sheet td,
.sheet th {
  border: 1px solid var(--line);
  padding: 0.15rem 0.5rem;
  height: 1.9rem;
}
.sheet tbody {
  break-inside: avoid;
}
.stop {
  font-weight: 700;
  border-left: 0;
  border-right: 0;
}
.asked,
.sheet td:first-child:not(.stop) {
  white-space: nowrap;
}
.asked .small {
  font-size: 0.75rem;
}
.write {
  width: 13%;
}
.note {
  width: 22%;
}
</style>
