<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { queries } from '../../api/queries'
import { joinVisit, sendAgain, throwAway } from '../../offline/decide'
import { hear } from '../../offline/news'
import { putAway } from '../../offline/outbox'
import { store, type HeldContext, type HeldVisit, type OutboxRow } from '../../offline/store'
import { clock } from '../../shared/figures/days'
import { entryText } from '../../shared/words/entries'
import { jobNames } from '../../shared/words/jobs'
import { stepText } from '../../shared/words/steps'
import OpenAnewForm from './OpenAnewForm.vue'

/** One visit of which something waits: each entry, what was said against it, and what can be done. */
const props = defineProps<{ visitId: string; rows: OutboxRow[] }>()
const router = useRouter()
const held = shallowRef<HeldVisit>()
const context = shallowRef<HeldContext>()
const engineName = computed(() => context.value?.context.engine.name ?? '')
const stepSays = (key: string) => stepText(context.value?.context.steps, key)
const everybody = useQuery(() => queries.everybody())
const name = (id: string) => everybody.data.value?.find((p) => p.id === id)?.name ?? ''
async function look() {
  const db = await store()
  held.value = await db.get('visits', props.visitId)
  context.value = held.value && (await db.get('contexts', held.value.contextId))
}
let deaf = () => {}
onMounted(() => {
  void look()
  deaf = hear(() => void look())
})
onBeforeUnmount(() => deaf())

const problem = computed(() => held.value?.held)
const code = computed(() => String(problem.value?.code ?? ''))
const other = computed(() => (code.value === 'engineOpen' ? (problem.value?.visitId as string | undefined) : undefined))
const opening = computed(() => props.rows.find((row) => row.entry.kind === 'opened')?.entry)
const job = computed(() => (opening.value?.kind === 'opened' ? jobNames[opening.value.job].toLowerCase() : 'visit'))
const wrongOpening = computed(() => !!opening.value && ['hoursBackwards', 'dateImpossible'].includes(code.value))
const throwing = ref(false)

async function join(to: string) {
  await joinVisit(props.visitId, to)
  await router.push({ name: 'visit', params: { id: to } })
}
</script>

<template>
  <div class="visit">
    <h3>
      <RouterLink :to="{ name: 'visit', params: { id: visitId } }">{{ engineName || 'A visit' }}, {{ job }}</RouterLink>
    </h3>
    <div v-if="problem" class="complaint" role="alert">
      <p class="mb-2">{{ problem.detail }}</p>
      <BButton v-if="other" class="btn-act" @click="join(other)">Add these to the visit that is open</BButton>
      <OpenAnewForm v-else-if="wrongOpening && opening?.kind === 'opened'" :visit-id="visitId" :opening="opening" />
      <div v-else class="d-flex gap-2 flex-wrap">
        <BButton class="btn-plain" @click="sendAgain(visitId)">Try again</BButton>
        <BButton v-if="!throwing" class="btn-plain" @click="throwing = true">Throw away…</BButton>
        <BButton v-else class="btn-act" @click="throwAway(visitId)">Throw away what is below, for good</BButton>
      </div>
    </div>
    <table class="ledger">
      <tbody>
        <tr v-for="row in rows" :key="row.n">
          <td class="figure small">{{ clock(row.entry.at) }}</td>
          <td>
            {{ entryText(row.entry, stepSays) }}
            <span v-if="row.refused" class="sub is-tight">Refused: {{ row.refused.detail }}</span>
          </td>
          <td class="soft small">{{ name(row.entry.by) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.some((row) => row.refused)" class="small mb-0">
      What was refused is kept at the server with the visit.
      <button type="button" class="text-link" @click="putAway(visitId)">I have seen it</button>
    </p>
  </div>
</template>

<style scoped>
.visit {
  border-top: 1px solid var(--hairline);
  padding: 0.6rem 0;
}
h3 {
  font-size: 1.05rem;
  font-weight: 700;
}
</style>
