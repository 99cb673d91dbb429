<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, nextTick, ref } from 'vue'
import type { Schemas } from '../../api/client'
import StateMark from '../../instruments/StateMark.vue'
import type { Entry } from '../../offline/entries'
import Field from '../../shared/fields/Field.vue'
import PersonField from '../../shared/fields/PersonField.vue'
import { useTitle } from '../../shared/address/useTitle'
import type { Unit } from '../../shared/figures/lengths'
import { useFigures } from '../../shared/figures/useFigures'
import Loaded from '../../shared/loaded/Loaded.vue'
import { useTyped } from '../../shared/forms/useTyped'
import { usePreferences } from '../../shared/preferences'
import { spoken } from '../../shared/words/points'
import { readingText } from '../../shared/words/readings'
import { knownBy } from '../../shared/words/shims'
import TypeInAmounts from './TypeInAmounts.vue'
import TypeInBegin from './TypeInBegin.vue'
import { isKept, readingIn, shimIn } from './typedCells'
import { useTypeIn, type Cell } from './useTypeIn'
import { useVisit, type Point } from './bench/useVisit'

/**
 * A field sheet typed in afterwards, with the keyboard alone: a figure and Enter, in the order of the sheet. Every figure is written down as it is
 * made; what a rule doubts is said beside it.
 */
const props = defineProps<{ id: string }>()
const preferences = usePreferences()
const { query, view, sheet, trouble, add } = useVisit(
  () => props.id,
  () => preferences.person,
)
useTitle(() => view.value && `Type in, ${view.value.context?.engine.name}`)
const figures = useFigures(() => (sheet.value?.trayUnit ?? 'mm') as Unit)
const knownHow = ref<Schemas['ShimKnownBy']>('micrometer')
const { typed: who } = useTyped(`claimed:${props.id}`, { by: '' })
const { typed, complaints, key, enter } = useTypeIn({
  id: props.id,
  sheet: () => sheet.value!,
  marks: () => view.value?.context?.type.shimMarks,
  trouble: () => trouble.value,
  claimedBy: () => who.by,
  shimsKnownBy: () => knownHow.value,
  add,
})
const points = computed(() =>
  sheet.value!.stops.flatMap((s) => s.points).map((l) => sheet.value!.points.find((p) => p.label === l)!),
)
const gaps = computed(() => points.value.filter((p) => !p.byAmount))
const amounts = computed(() => points.value.filter((p) => p.byAmount))
/** What the signature waits for, besides what belongs to a point or is counted. */
const open = computed(() => sheet.value!.steps.filter((s) => s.asked && !s.ticked && !s.point && !s.counts))
const before = computed(() => open.value.filter((s) => s.list !== 'closeUp' && s.list !== 'beforeCloseUp'))
const ready = computed(() => sheet.value!.conditionKnown && !open.value.some((s) => s.list === 'makeSafe'))
const writing = computed(() => ready.value && (!!preferences.person || view.value!.state !== 'open'))
const build = computed(() => view.value!.job === 'build')
const hasShims = computed(() => gaps.value.some((p) => p.shim))
const checks = computed(() => view.value!.job === 'receivingCheck')
const columns = computed<Cell[]>(() => [
  ...(checks.value ? (['claimed'] as const) : []),
  ...(build.value ? [] : (['asFound'] as const)),
  ...(hasShims.value ? (['shim'] as const) : []),
  'asLeft',
])
const columnNames: Record<string, string> = {
  claimed: 'Claimed',
  asFound: 'Found',
  shim: 'Shim, or old and new',
  asLeft: 'Left',
}

function begin() {
  const entries: Entry[] = before.value.map((s) => ({ kind: 'ticked', step: s.step, on: true }))
  if (!sheet.value!.conditionKnown) entries.push({ kind: 'conditionStated', condition: sheet.value!.condition })
  entries.push({ kind: 'positionProved', points: points.value.map((p) => p.label), said: 'by the field sheet' })
  void add(...entries)
}
function close() {
  void add(...open.value.map((s): Entry => ({ kind: 'ticked', step: s.step, on: true })))
}
const shown = (p: Point, cell: Cell) =>
  cell === 'shim' ? shimIn(p) : readingText(readingIn(p, cell), figures.figure, true)
const isOpen = (p: Point, cell: Cell) =>
  view.value!.state === 'open' && (cell === 'shim' ? !!p.shim : cell !== 'asLeft' || !p.owesFound)

async function enterAndMove(p: Point, cell: Cell, event: KeyboardEvent) {
  if (!(await enter(p, cell, event.shiftKey))) return
  await nextTick()
  move(p, cell, 1)
}
/** The next cell in the order of the sheet that can be typed into; past the last, what comes after. */
function move(p: Point, stage: Cell, by: number) {
  const order = gaps.value.flatMap((q) => columns.value.map((c) => key(q, c)))
  for (let at = order.indexOf(key(p, stage)) + by; at >= 0 && at < order.length; at += by) {
    const cell = document.getElementById(order[at]!)
    if (cell instanceof HTMLInputElement && !cell.disabled) return cell.focus()
  }
  if (by > 0) document.querySelector<HTMLElement>('.after')?.focus()
}
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet" class="page">
      <div class="page-head">
        <div>
          <h1>Type in: {{ view.context?.engine.name }}</h1>
          <p class="soft small mb-0">
            A figure and Enter; Enter alone goes on. 0.20, .20, 0.20-0.25 between two blades, &lt;0.05 where none goes.
            Figures in {{ sheet.trayUnit }}.
          </p>
        </div>
        <BButton class="btn-plain" :to="{ name: 'visit', params: { id } }">The bench</BButton>
      </div>
      <div v-if="view.state === 'open'" class="asks">
        <Field v-slot="{ bind }" label="Who measured">
          <PersonField v-bind="bind" v-model="preferences.person" />
        </Field>
        <Field v-if="checks" v-slot="{ bind }" label="Claimed by">
          <BFormInput v-bind="bind" v-model="who.by" />
        </Field>
        <Field v-if="hasShims" v-slot="{ id: known }" label="Shims are known">
          <select :id="known" v-model="knownHow" class="form-select">
            <option v-for="(text, how) in knownBy" :key="how" :value="how">{{ text }}</option>
          </select>
        </Field>
      </div>
      <p v-if="!preferences.person && view.state === 'open'" class="px-2" role="status">
        Choose who measured: every figure goes down under a name.
      </p>
      <TypeInBegin
        v-else-if="!ready && view.state === 'open'"
        :condition="sheet.condition"
        :steps="before"
        @begin="begin"
      />
      <table v-else class="ledger grid">
        <thead class="caps">
          <tr>
            <th>Valve</th>
            <th>Asked</th>
            <th v-for="c in columns" :key="c">{{ columnNames[c] }}</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="p in gaps" :key="p.label">
            <tr>
              <th scope="row">{{ p.bookName ? `${p.bookName} · ` : '' }}{{ spoken(p) }}</th>
              <td class="figure soft">
                <template v-if="p.minMm != null"
                  >{{ figures.range(p.minMm, p.maxMm)
                  }}<span class="small d-block">{{ figures.otherRange(p.minMm, p.maxMm) }}</span></template
                ><template v-else>—</template>
              </td>
              <td v-for="c in columns" :key="c">
                <span v-if="c === 'shim' && !p.shim">—</span>
                <span v-else-if="isKept(p, c)" class="figure">{{ shown(p, c) }}</span>
                <input
                  v-else
                  :id="key(p, c)"
                  v-model="typed[key(p, c)]"
                  class="form-control cell figure"
                  inputmode="decimal"
                  autocomplete="off"
                  :aria-label="`${spoken(p)}, ${columnNames[c]!.toLowerCase()}`"
                  :disabled="!isOpen(p, c)"
                  @keydown.enter.prevent="enterAndMove(p, c, $event)"
                  @keydown.up.prevent="move(p, c, -1)"
                  @keydown.down.prevent="move(p, c, 1)"
                />
              </td>
              <td><StateMark :state="p.left?.state ?? p.found?.state" /></td>
            </tr>
            <tr v-for="c in columns.filter((one) => complaints[key(p, one)])" :key="`${key(p, c)}/said`">
              <td :colspan="columns.length + 3" class="complaint small" role="alert">
                {{ columnNames[c] }}: {{ complaints[key(p, c)] }}
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <TypeInAmounts
        v-if="writing && amounts.length"
        :visit-id="id"
        :points="amounts"
        :trouble="trouble"
        :closed="view.state !== 'open'"
        @say="(...entries) => add(...entries)"
      />
      <div v-if="writing && view.state === 'open'" class="d-flex gap-2 mt-3 flex-wrap">
        <BButton v-if="open.length" class="btn-plain after" @click="close">Closed up as the sheet says</BButton>
        <BButton class="btn-act" :class="{ after: !open.length }" :to="{ name: 'visit', params: { id } }"
          >To the bench, to sign</BButton
        >
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.grid .cell {
  width: 130px;
  min-height: 40px;
}
.asks {
  display: flex;
  padding-inline: 0.75rem;
  flex-wrap: wrap;
  gap: 0 1rem;
}
</style>
