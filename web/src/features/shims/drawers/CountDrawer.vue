<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef } from 'vue'
import { sentence, type Schemas } from '../../../api/client'
import { sendCount } from '../../../api/files'
import { makeStale } from '../../../api/touched'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import { usePreferences } from '../../../shared/preferences'
import { toast } from '../../../shared/toasts/toasts'
import { form as takes, plural } from '../../../shared/words/counts'
import { accessNames, size } from '../../../shared/words/shims'

/** A morning's count: typed here size by size, or as a table; what it would change is shown before it is kept, with who counted. */
const props = defineProps<{ drawer: Schemas['DrawerResponse'] }>()
const client = useQueryClient()
const preferences = usePreferences()
const me = useMe()
const who = computed(() => me() ?? '')
const counted = ref(props.drawer.held.map((h) => String(h.count)))
const file = shallowRef<File | null>(null)
const all = ref(false)
const would = shallowRef<Schemas['CountResponse'] | null>(null)
const failure = ref<unknown>()
const busy = ref(false)

/** What was typed here is the same table that goes out and comes in. */
function typedTable(): File {
  const lines = props.drawer.held.map((h, i) =>
    [h.access, h.diameterMm ?? '', h.written, h.unit, counted.value[i]!.trim() || '0', h.knownBy].join(','),
  )
  return new File([['fits,diameter mm,size,unit,count,known by', ...lines].join('\n')], 'count.csv', {
    type: 'text/csv',
  })
}
async function send(keep: boolean) {
  if (!file.value) return
  busy.value = true
  failure.value = undefined
  try {
    const answer = await sendCount(props.drawer.id, file.value, { who: who.value || undefined, all: all.value, keep })
    would.value = keep ? null : answer
    if (!keep) return
    file.value = null
    await makeStale(client, 'shim')
    toast(`Counted: ${plural(answer.changes.length, 'size')} put right.`)
  } catch (caught) {
    failure.value = caught
  } finally {
    busy.value = false
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0] ?? null
  input.value = ''
  void send(false)
}
function fromHere() {
  all.value = false
  file.value = typedTable()
  void send(false)
}
</script>

<template>
  <div>
    <form v-if="drawer.held.length" class="mb-3" @submit.prevent="fromHere">
      <div class="sizes">
        <label v-for="(h, i) in drawer.held" :key="`${h.access}${h.diameterMm}${h.sizeMm}`" class="small">
          <span class="figure">{{ size(h.sizeMm) }}</span>
          <input v-model="counted[i]" class="form-control figure" inputmode="numeric" />
        </label>
      </div>
      <button type="submit" class="btn btn-plain mt-2">Compare with the ledger</button>
    </form>
    <p class="d-flex gap-2 flex-wrap align-items-center mb-2">
      <a class="btn btn-plain" :href="`/api/shim-drawers/${drawer.id}/stock.csv`" :download="`${drawer.name}.csv`"
        >As a table</a
      >
      <label class="btn btn-plain">
        A counted table…
        <input type="file" accept=".csv,.xlsx" class="visually-hidden" aria-label="Counted table" @change="choose" />
      </label>
    </p>
    <p v-if="failure" class="complaint" role="alert">{{ sentence(failure) }}</p>
    <template v-if="would">
      <p class="mb-1">
        <strong>{{
          would.changes.length
            ? `${plural(would.changes.length, 'size')} ${takes(would.changes.length, 'is', 'are')} not as the ledger says:`
            : 'All as the ledger says.'
        }}</strong>
      </p>
      <ul class="plain-list small mb-2">
        <li v-for="c in would.changes" :key="`${c.access}${c.diameterMm}${c.sizeMm}`">
          <span class="figure">{{ size(c.sizeMm) }}</span> {{ accessNames[c.access] }}: {{ c.before }} → {{ c.counted }}
        </li>
      </ul>
      <label v-if="file && file.name !== 'count.csv'" class="ticked small">
        <input v-model="all" type="checkbox" class="form-check-input m-0" @change="send(false)" />
        it is the whole drawer: what it does not name is gone
      </label>
      <template v-if="would.changes.length">
        <Field v-slot="{ bind }" label="Who counted" :complaint="!who && 'Say who counted.'">
          <PersonField v-bind="bind" v-model="preferences.person" />
        </Field>
        <button type="button" class="btn btn-act" :disabled="busy || !who" @click="send(true)">Keep the count</button>
      </template>
    </template>
  </div>
</template>

<style scoped>
.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(76px, 1fr));
  gap: 0.4rem;
}
</style>
