<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import { useAddressed } from '../../shared/address/useAddressed'
import { csv, saveText } from '../../shared/figures/csv'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { useFigures } from '../../shared/figures/useFigures'
import Loaded from '../../shared/loaded/Loaded.vue'
import { plural } from '../../shared/words/counts'
import { decision, ruleWords } from '../../shared/words/due'
import TryForm from './TryForm.vue'
import { byWeek } from './weeks'

/** What is due, week by week: the rule that decides and by how much, the others behind it. */
const figures = useFigures()
const yard = useQuery(() => queries.yard())
const find = useAddressed('find')
const rows = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return (yard.data.value?.engines ?? []).filter(
    (r) => !wanted || `${r.name} ${r.site} ${r.typeCode}`.toLowerCase().includes(wanted),
  )
})
const weeks = computed(() => byWeek(rows.value, yard.data.value?.today ?? ''))
const others = (r: (typeof rows.value)[number]) =>
  r.others
    .map((o) => `${ruleWords[o.rule]} ${o.date ? day(o.date) : o.hours != null ? `in ${hours(o.hours)} h` : ''}`.trim())
    .join('; ')
const said = (r: (typeof rows.value)[number]) => decision(r, figures, yard.data.value?.risk ?? 0.05)
const print = () => window.print()
function save() {
  saveText(
    'due.csv',
    csv([
      ['engine', 'site', 'type', 'rule', 'date', 'engine hours left', 'others'],
      ...rows.value.map((r) => [
        r.name,
        r.site,
        r.typeCode,
        ruleWords[r.decides.rule],
        r.decides.date,
        r.decides.hours == null ? null : Math.round(r.decides.hours),
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
      <div class="page-head">
        <div>
          <h1>Due by week</h1>
          <p class="soft small mb-0 mt-1">
            {{ plural(rows.length, 'engine') }}; the rule that decides first, the others behind it
          </p>
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
          <BFormInput v-model="find" type="search" placeholder="Find engine or site" aria-label="Find engine or site" />
          <BButton class="btn-plain" @click="print">Print</BButton>
          <BButton class="btn-plain" @click="save">CSV</BButton>
          <BButton class="btn-plain" href="/api/due/letter.eml" download="due.eml">Letter</BButton>
        </div>
      </div>
      <TryForm class="no-print mb-3" :risk="data.risk" />
      <section v-for="w in weeks" :key="w.monday" class="plate p-3 mb-2">
        <h2>Week of {{ day(w.monday) }}</h2>
        <ul class="plain-list mb-0">
          <li v-for="r in w.rows" :key="r.engineId" class="due">
            <span>
              <RouterLink :to="{ name: 'engine', params: { id: r.engineId } }">{{ r.name }}</RouterLink>
              <span class="small soft d-block">{{ r.site }}, {{ r.typeCode }}</span>
            </span>
            <span>
              <strong :class="`is-${said(r).tone}`">{{ said(r).main }}</strong>
              <span class="small d-block">{{ said(r).below }}</span>
              <span v-if="r.others.length" class="small soft d-block">behind it: {{ others(r) }}</span>
            </span>
          </li>
        </ul>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
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
