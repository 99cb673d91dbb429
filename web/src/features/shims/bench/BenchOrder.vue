<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { newId } from '../../../api/newId'
import { useWrite, writes } from '../../../api/writes'
import { writeDown } from '../../../offline/outbox'
import DayField from '../../../shared/fields/DayField.vue'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import { addDays } from '../../../shared/figures/dayMath'
import { today } from '../../../shared/figures/days'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'
import { usePreferences } from '../../../shared/preferences'
import { counted } from '../../../shared/words/counts'
import { inches, size } from '../../../shared/words/shims'
import type { Bench, useBench } from './useBench'

/** What has to be bought, and the decision itself: from here on it stands, and what comes out of a drawer lies on the tray. */
const props = defineProps<{ bench: Bench; body: ReturnType<typeof useBench>['body']['value'] }>()
const router = useRouter()
const preferences = usePreferences()
const decide = useWrite(writes.decideShims)
const move = useWrite(writes.moveShims)
const id = ref(newId())
const expected = ref(addDays(today(), 4))
const drawer = ref('')
watch(
  () => props.bench.drawers,
  (all) => {
    if (!all.some((d) => d.id === drawer.value)) drawer.value = (all.find((d) => d.kind === 'kit') ?? all[0])?.id ?? ''
  },
  { immediate: true },
)
const changes = computed(() => props.bench.points.filter((p) => p.from && p.from !== 'own'))
const thou = computed(() => props.bench.engines.some((e) => e.unit === 'thou'))
const me = useMe()
const who = computed(() => me() ?? '')

const form = useForm({
  check: () => ({
    who: !who.value && 'Say who decides.',
    expectedOn: props.bench.bought > 0 && !expected.value && 'Say when the ordered ones are expected.',
  }),
  send: () =>
    decide.mutateAsync({
      id: id.value,
      bench: props.body,
      seen: changes.value.map((p) => ({ point: p.id, shimMm: p.shimMm })),
      who: who.value,
      drawerId: drawer.value || undefined,
      expectedOn: props.bench.bought > 0 ? expected.value : undefined,
    }),
  done: (job) =>
    job.state === 'ordered'
      ? 'Decided and ordered; the rest lies on its tray.'
      : 'Decided: everything lies on its tray.',
  then: async (job) => {
    id.value = newId()
    if (props.bench.bought > 0) await leaveWaiting()
    await router.push({ name: 'shim-job', params: { id: job.id } })
  },
})
/** A visit still open is told that these points wait, so that it can be closed and gone on with. */
async function leaveWaiting() {
  for (const engine of props.bench.engines.filter((e) => e.state === 'open'))
    await writeDown(
      engine.visitId,
      changes.value
        .filter((p) => p.visitId === engine.visitId)
        .map((p) => ({
          kind: 'outcome' as const,
          point: p.label,
          outcome: 'awaiting' as const,
          why: `${size(p.shimMm!)} ${p.from === 'buy' ? 'on order' : 'laid out'}`,
        })),
      preferences.person,
    )
}
/** It lies here after all: into the drawer, and the bench works it out again. */
const has = useForm({
  check: () => ({ who: !who.value && 'Say who has it.' }),
  send: () =>
    move.mutateAsync({
      id: newId(),
      drawerId: drawer.value,
      kind: 'in',
      access: props.bench.access,
      diameterMm: props.bench.engines[0]?.diameterMm ?? undefined,
      size: size(props.bench.buy[0]!.sizeMm),
      unit: 'mm',
      count: 1,
      knownBy: 'printed',
      who: who.value,
      why: 'Found at hand.',
    }),
  done: () => 'Into the drawer; the bench is worked out again.',
})
</script>

<template>
  <section class="plate plate-strong p-3" aria-label="To buy">
    <h2>{{ bench.buy.length ? 'To buy' : changes.length ? 'Nothing to buy' : 'Nothing to change' }}</h2>
    <p v-for="b in bench.buy" :key="b.sizeMm" class="buy mb-1">
      <span class="figure big">{{ size(b.sizeMm) }} mm</span>
      <span v-if="thou" class="figure"> {{ inches(b.sizeMm) }}</span>
      {{ counted(b.count).toLowerCase() }}, for {{ b.for.join(', ') }}
    </p>
    <p v-if="bench.spare.length" class="small soft mb-2">
      Over afterwards:
      <template v-for="(s, i) in bench.spare" :key="s.sizeMm"
        ><template v-if="i">, </template>{{ size(s.sizeMm) }} from {{ s.from.join(', ') }}</template
      >.
    </p>
    <form v-if="changes.length" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="who" label="Who decides">
        <PersonField v-bind="bind" v-model="preferences.person" />
      </Field>
      <Field v-if="bench.bought" v-slot="{ bind }" name="expectedOn" label="The ordered ones are expected">
        <DayField v-bind="bind" v-model="expected" />
      </Field>
      <Field
        v-if="bench.drawers.length"
        v-slot="{ bind }"
        name="drawerId"
        :label="bench.bought ? 'They come into, and what is over goes to' : 'What is over goes to'"
      >
        <select v-bind="bind" v-model="drawer" class="form-select">
          <option v-for="d in bench.drawers" :key="d.id" :value="d.id">{{ d.name }}</option>
        </select>
      </Field>
      <p v-else-if="bench.bought" class="complaint">
        {{ bench.engines[0]?.site }} has no drawer yet: <RouterLink to="/shims">add one</RouterLink>, for the bought
        ones to come into.
      </p>
      <FormEnd>{{ bench.bought ? 'Order and plan the second visit' : 'Lay them out' }}</FormEnd>
    </form>
    <form v-if="bench.buy.length && drawer" class="mt-2" novalidate @submit.prevent="has.submit">
      <button type="submit" class="btn btn-plain w-100" :disabled="has.busy">
        I have a {{ size(bench.buy[0]!.sizeMm) }}: add it to the drawer
      </button>
      <p v-if="has.rest" class="complaint mt-1 mb-0" role="alert">{{ has.rest }}</p>
    </form>
  </section>
</template>

<style scoped>
.big {
  font-size: 1.5rem;
  margin-right: 0.4rem;
}
</style>
