<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, sentence } from '../../api/client'
import { hours } from '../../app/figures'
import { isTyping, useKeys } from '../../app/keys'
import AddEngineDialog from './AddEngineDialog.vue'
import YardRow from './YardRow.vue'
import { decision, headline, machineNames } from './yardWords'

const { data, error, isLoading } = useQuery({ queryKey: ['due'], queryFn: () => answer(api.GET('/api/due')) })
const router = useRouter()
const find = ref('')
const machine = ref('')
const site = ref('')
const grouped = ref(false)
const adding = ref(false)
const picked = ref(-1)
const shown = ref(60)

const rows = computed(() => data.value?.engines ?? [])
const sites = computed(() => [...new Set(rows.value.map((r) => r.site))].sort())
const found = computed(() => {
  const words = find.value.toLowerCase().split(/\s+/).filter(Boolean)
  return rows.value.filter((row) => {
    if (machine.value && row.machine !== machine.value) return false
    if (site.value && row.site !== site.value) return false
    if (words.length === 0) return true
    const said = decision(
      row,
      () => '',
      () => '',
    )
    const text =
      `${row.name} ${row.site} ${machineNames[row.machine]} ${row.typeCode} ${said.main} ${said.below}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const groups = computed(() => {
  const page = found.value.slice(0, shown.value)
  if (!grouped.value) return [{ name: '', rows: page }]
  const names = [...new Set(page.map((r) => r.site))]
  return names.map((name) => ({ name, rows: page.filter((r) => r.site === name) }))
})
const flat = computed(() => groups.value.flatMap((g) => g.rows))
const span = 3000

useKeys(
  [
    { key: '/', does: 'find an engine, a site or a finding' },
    { key: '↑ ↓', does: 'move through the list' },
    { key: 'Enter', does: 'open the engine' },
  ],
  (event) => {
    if (event.key === '/' && !isTyping(event)) {
      event.preventDefault()
      document.getElementById('find')?.focus()
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      if (isTyping(event) && (event.target as HTMLElement).tagName === 'SELECT') return
      event.preventDefault()
      picked.value = Math.min(flat.value.length - 1, Math.max(0, picked.value + (event.key === 'ArrowDown' ? 1 : -1)))
      document.getElementById(`row-${flat.value[picked.value]?.engineId}`)?.focus()
    } else if (event.key === 'Enter' && (event.target as HTMLElement).id === 'find' && found.value[0]) {
      void router.push({ name: 'engine', params: { id: found.value[0].engineId } })
    }
  },
)
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>{{ isLoading ? 'Looking round the yard…' : headline(rows) }}</h1>
        <p class="soft small mb-0 mt-1">
          <template v-if="data"
            >{{ data.fleet }} ·
            {{ found.length === rows.length ? rows.length : `${found.length} of ${rows.length}` }} engines · worst first
            · hours from today to the first limit</template
          >
        </p>
      </div>
      <div class="tools">
        <BFormInput
          id="find"
          v-model="find"
          type="search"
          placeholder="Find engine, site or finding   /"
          aria-label="Find engine, site or finding"
        />
        <BFormSelect v-model="machine" aria-label="Kind of machine">
          <option value="">All kinds</option>
          <option v-for="(name, key) in machineNames" :key="key" :value="key">{{ name }}</option>
        </BFormSelect>
        <BFormSelect v-model="site" aria-label="Site">
          <option value="">All sites</option>
          <option v-for="s in sites" :key="s" :value="s">{{ s }}</option>
        </BFormSelect>
        <BButton class="btn-plain" :aria-pressed="grouped" @click="grouped = !grouped">{{
          grouped ? 'By urgency' : 'By site'
        }}</BButton>
        <BButton class="btn-plain" @click="adding = true">Add an engine</BButton>
      </div>
    </div>

    <p v-if="error" class="complaint mx-3">{{ sentence(error) }}</p>
    <div v-else-if="data && rows.length === 0" class="plate p-4">
      <h2>No engine yet.</h2>
      <ol class="mt-3 mb-0">
        <li>
          Add the engine's type to the <RouterLink to="/book">book</RouterLink>: firing order, valves along the head,
          clearances and where they come from.
        </li>
        <li><a href="#" @click.prevent="adding = true">Add the engine</a> with what its hour meter shows.</li>
        <li>Open it and measure, or bring in an old <RouterLink to="/logbook">logbook</RouterLink>.</li>
      </ol>
    </div>
    <template v-else-if="data">
      <div class="row-grid head caps" aria-hidden="true">
        <span>Engine</span>
        <span>Meter</span>
        <span class="scale figure">
          <span v-for="h in [0, 500, 1000, 1500, 2000, 2500, 3000]" :key="h">{{ h === 0 ? 'now' : hours(h) }}</span>
        </span>
        <span>Decided by</span>
      </div>
      <template v-for="group in groups" :key="group.name">
        <h2 v-if="group.name" class="group">{{ group.name }}</h2>
        <YardRow v-for="row in group.rows" :key="row.engineId" :row="row" :span="span" />
      </template>
      <p v-if="found.length === 0" class="plate p-3">
        Nothing in the yard matches. Clear the search, or choose another site.
      </p>
      <div v-if="found.length > shown" class="text-center mt-3">
        <BButton class="btn-plain" @click="shown += 200">Show more: {{ found.length - shown }} engines below</BButton>
      </div>
    </template>
    <AddEngineDialog v-model="adding" />
  </main>
</template>

<style scoped>
.tools {
  display: flex;
  margin-left: auto;
  gap: 0.5rem;
  flex-wrap: wrap;
}
.tools input {
  width: 270px;
}
.tools select {
  width: 128px;
}
.group {
  margin: 1rem 0.75rem 0.4rem;
}
.head {
  padding: 0.2rem 1.2rem 0.3rem;
}
.scale {
  display: flex;
  justify-content: space-between;
  letter-spacing: 0;
  text-transform: none;
  max-width: 400px;
  padding: 0 0 0 4px;
}
</style>

<style>
.row-grid {
  display: grid;
  grid-template-columns: minmax(200px, 3fr) 104px minmax(240px, 430px) minmax(230px, 3.6fr);
  gap: 1rem;
  align-items: center;
}
@media (max-width: 1000px) {
  .row-grid {
    grid-template-columns: minmax(170px, 2fr) 84px minmax(180px, 3fr) minmax(190px, 3fr);
    gap: 0.6rem;
  }
}
</style>
