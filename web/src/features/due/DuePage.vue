<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { useAddressed } from '../../shared/address/useAddressed'
import { csv, saveText } from '../../shared/figures/csv'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import PaperHead from '../../shared/paper/PaperHead.vue'
import Loaded from '../../shared/loaded/Loaded.vue'
import { plural } from '../../shared/words/counts'
import { decision, ruleWords } from '../../shared/words/due'
import { machineNames } from '../../shared/words/machines'
import TryForm from './TryForm.vue'
import { byWeek, grouped, type Grouping } from './weeks'

/** What is due, week by week: the rule that decides and by how much, the others behind it. */
const figures = useFigures()
const yard = useQuery(() => queries.yard())
const find = useAddressed('find')
const rule = useAddressed('rule')
const until = useAddressed('until', 'soon')
const dueBy = computed(() => (until.value === 'soon' ? yard.data.value?.soonUntil : undefined))
const rows = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return (yard.data.value?.engines ?? []).filter(
    (r) =>
      (!wanted || `${r.name} ${r.site} ${r.typeCode}`.toLowerCase().includes(wanted)) &&
      (!rule.value || r.decides.rule === rule.value) &&
      (!dueBy.value || (r.decides.date != null && r.decides.date <= dueBy.value)),
  )
})
const by = useAddressed('by', 'week')
const keys: Record<Exclude<Grouping, 'week'>, (r: (typeof rows.value)[number]) => string> = {
  site: (r) => r.site,
  machine: (r) => machineNames[r.machine],
  type: (r) => r.typeCode,
  rule: (r) => ruleWords[r.decides.rule],
}
const groups = computed(() =>
  by.value === 'week'
    ? byWeek(rows.value, yard.data.value?.today ?? '').map((w) => ({ key: `Week of ${day(w.monday)}`, rows: w.rows }))
    : grouped(rows.value, keys[by.value as keyof typeof keys] ?? keys.site),
)
const others = (r: (typeof rows.value)[number]) =>
  r.others
    .map((o) => `${ruleWords[o.rule]} ${o.date ? day(o.date) : o.hours != null ? `in ${hours(o.hours)} h` : ''}`.trim())
    .join('; ')
const said = (r: (typeof rows.value)[number]) => decision(r, figures)
const rules = computed(() => [...new Set((yard.data.value?.engines ?? []).map((r) => r.decides.rule))])
const print = () => window.print()
function save() {
  saveText(
    'due.csv',
    csv([
      ['engine', 'site', 'type', 'rule', 'date', 'engine hours left', 'planned', 'who', 'others'],
      ...rows.value.map((r) => [
        r.name,
        r.site,
        r.typeCode,
        ruleWords[r.decides.rule],
        r.decides.date,
        r.decides.hours == null ? null : Math.round(r.decides.hours),
        r.next.plannedOn,
        r.next.who.join(' with '),
        others(r),
      ]),
    ]),
    'text/csv',
  )
}
</script>

<template>
  <Loaded v-slot="{ data }" :query="yard" what="fleet">
    <main class="page">
      <PaperHead what="Due list" />
      <div class="page-head">
        <div>
          <h1>Due by {{ by === 'machine' ? 'kind of machine' : by }}</h1>
          <p class="soft small mb-0 mt-1">
            {{ plural(rows.length, 'engine') }}<template v-if="dueBy"> until {{ day(dueBy) }}</template
            >; the rule that decides first, the others behind it
          </p>
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
          <BFormInput
            v-model="find"
            class="narrow"
            type="search"
            placeholder="Find engine or site"
            aria-label="Find engine or site"
          />
          <BFormSelect v-model="by" class="narrow" aria-label="Grouped by">
            <option value="week">By week</option>
            <option value="site">By site</option>
            <option value="machine">By kind of machine</option>
            <option value="type">By type</option>
            <option value="rule">By rule</option>
          </BFormSelect>
          <BFormSelect v-model="until" class="narrow" aria-label="How far ahead">
            <option value="soon">Eight weeks</option>
            <option value="all">All there is</option>
          </BFormSelect>
          <BFormSelect v-model="rule" class="narrow" aria-label="Only what this rule decides">
            <option value="">Every rule</option>
            <option v-for="r in rules" :key="r" :value="r">{{ ruleWords[r] }}</option>
          </BFormSelect>
          <BButton class="btn-plain" @click="print">Print</BButton>
          <BButton class="btn-plain" @click="save">CSV</BButton>
          <BButton class="btn-plain" href="/api/due/letter.eml" download="due.eml">Letter</BButton>
          <BButton class="btn-plain" href="/api/due/calendar.ics" download="due.ics">Calendar</BButton>
        </div>
      </div>
      <TryForm class="no-print mb-3" :risk="data.risk" />
      <section v-for="w in groups" :key="w.key" class="plate p-3 mb-2">
        <h2>{{ w.key }}</h2>
        <ul class="plain-list mb-0">
          <li v-for="r in w.rows" :key="r.engineId" class="due">
            <span>
              <RouterLink :to="{ name: 'engine', params: { id: r.engineId } }">{{ r.name }}</RouterLink>
              <span class="small soft d-block">{{ r.site }}, {{ r.typeCode }}</span>
            </span>
            <span>
              <strong :class="`is-${said(r).tone}`">{{ said(r).main }}</strong>
              <span class="small d-block">{{ said(r).below }}</span>
              <span v-if="r.next.plannedOn" class="small d-block"
                >planned {{ day(r.next.plannedOn)
                }}<template v-if="r.next.who.length">, {{ r.next.who.join(' with ') }}</template></span
              >
              <span v-if="r.others.length" class="small soft d-block">behind it: {{ others(r) }}</span>
            </span>
          </li>
        </ul>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.narrow {
  width: 11rem;
}
.due {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 2fr);
  gap: 0 1rem;
  border-top: 1px solid var(--hairline);
  padding: 0.4rem 0;
}
@media (max-width: 600px) {
  .due {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
