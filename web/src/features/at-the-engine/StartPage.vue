<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Refusal, sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import Field from '../../app/Field.vue'
import { hours } from '../../app/figures'
import { notANumber, typedNumber } from '../../app/numbers'
import PersonPick from '../../app/PersonPick.vue'
import { usePreferences } from '../../app/preferences'
import { sendNow } from '../../offline/exchange'
import { methodNames } from '../book/bookWords'
import { trays } from './trays'

const props = defineProps<{ engineId: string }>()
const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const preferences = usePreferences()
const { data } = useQuery({
  queryKey: ['engine', () => props.engineId],
  queryFn: () => answer(api.GET('/api/engines/{id}', { params: { path: { id: props.engineId } } })),
})

const id = newId()
const form = reactive({
  job: (route.query.job as Schemas['JobKind']) || ('overhead' as Schemas['JobKind']),
  hours: '',
  date: '',
  person: preferences.person,
  tray: preferences.tray || trays[0]!.name,
  ownBlades: '',
  ownUnit: 'mm',
  method: '' as Schemas['TurningMethod'] | '',
})
watch(data, (engine) => {
  if (!engine) return
  form.method ||= engine.type.method
  if (!preferences.tray && engine.type.revisions.find((r) => r.inForce)?.figures[0]?.unit === 'thou')
    form.tray = trays[2]!.name
})
const tray = computed(
  () =>
    trays.find((t) => t.name === form.tray) ?? {
      name: form.tray,
      unit: form.ownUnit,
      blades: form.ownBlades.split(/[\s;]+/).filter(Boolean),
    },
)
const methods = computed(() =>
  (Object.keys(methodNames) as Schemas['TurningMethod'][]).filter(
    (m) =>
      (m !== 'book' || data.value?.type.method === 'book') &&
      (data.value?.type.cycle !== 'twoStroke' || ['perCylinder', 'fewestStops', 'book'].includes(m)),
  ),
)
const failure = ref<unknown>()
const complaint = (field: string) => (failure.value instanceof Refusal ? failure.value.for(field) : undefined)
const openInstead = computed(() =>
  failure.value instanceof Refusal && failure.value.code === 'engineOpen'
    ? (failure.value.body.visitId as string | undefined)
    : undefined,
)
const today = () => {
  const now = new Date()
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
}
const missing = ref('')
const busy = ref(false)

async function start() {
  failure.value = undefined
  missing.value = ''
  if (notANumber(form.hours) || busy.value) return
  if (!form.person) {
    missing.value = 'Choose who does the work.'
    return
  }
  busy.value = true
  try {
    await sendNow(
      id,
      [
        {
          kind: 'opened',
          engineId: props.engineId,
          job: form.job,
          date: form.date || today(),
          shownHours: typedNumber(form.hours) ?? null,
          // Everything at a stop is measured before the first adjuster is touched, as this bench leads.
          setting: 'stopFirst',
          tray: {
            setId: form.tray === 'own' ? 'own set' : tray.value.name,
            unit: tray.value.unit,
            blades: tray.value.blades,
          },
          ...(form.method ? { method: form.method } : {}),
        },
      ],
      form.person,
    )
    preferences.person = form.person
    if (form.tray !== 'own') preferences.tray = form.tray
    await client.invalidateQueries()
    await router.replace({ name: 'overhead', params: { id } })
  } catch (caught) {
    failure.value = caught
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="page narrow">
    <div class="page-head">
      <div>
        <h1>Open {{ data?.row.name }}</h1>
        <p v-if="data" class="soft mb-0 mt-1">
          Last on the meter: <span class="figure">{{ hours(data.row.shownHours) }}</span> h
        </p>
      </div>
    </div>
    <form v-if="data" class="plate p-4" @submit.prevent="start">
      <div class="two">
        <Field v-slot="{ id: f }" label="Job">
          <BFormSelect :id="f" v-model="form.job">
            <option value="overhead">Overhead: every point, resets the book</option>
            <option value="spotCheck">Spot check: some points, to settle a doubt</option>
            <option value="receivingCheck">Receiving check: someone else's adjustment</option>
            <option value="build">Build: set after a build or rebuild</option>
          </BFormSelect>
        </Field>
        <Field
          v-slot="{ id: f }"
          label="Hour meter shows now, h"
          :complaint="complaint('shownHours') ?? notANumber(form.hours)"
          hint="Read it, do not guess it."
        >
          <BFormInput :id="f" v-model="form.hours" inputmode="decimal" autofocus />
        </Field>
        <Field v-slot="{ id: f }" label="Who does the work" :complaint="complaint('by') ?? missing"
          ><PersonPick :id="f" v-model="form.person"
        /></Field>
        <Field v-slot="{ id: f }" label="Day, if not today" :complaint="complaint('date')"
          ><BFormInput :id="f" v-model="form.date" type="date"
        /></Field>
        <Field
          v-slot="{ id: f }"
          label="Blades"
          :complaint="complaint('tray.blades')"
          hint="One set for the whole engine."
        >
          <BFormSelect :id="f" v-model="form.tray">
            <option v-for="t in trays" :key="t.name" :value="t.name">{{ t.name }}</option>
            <option value="own">my own set…</option>
          </BFormSelect>
        </Field>
        <Field
          v-slot="{ id: f }"
          label="How do you find the position?"
          :complaint="complaint('method')"
          hint="The book's way stands first."
        >
          <BFormSelect :id="f" v-model="form.method">
            <option v-for="m in methods" :key="m" :value="m">
              {{ methodNames[m] }}{{ m === data.type.method ? ' (the book)' : '' }}
            </option>
          </BFormSelect>
        </Field>
        <Field
          v-if="form.tray === 'own'"
          v-slot="{ id: f }"
          label="Blades, one after another"
          :complaint="complaint('tray.blades')"
          ><BFormInput :id="f" v-model="form.ownBlades" placeholder="0.10 0.15 0.20 0.25"
        /></Field>
        <Field v-if="form.tray === 'own'" v-slot="{ id: f }" label="Their unit"
          ><BFormSelect :id="f" v-model="form.ownUnit" :options="['mm', 'thou']"
        /></Field>
      </div>
      <p
        v-if="failure && !['shownHours', 'date', 'by', 'method', 'tray.blades'].some((f) => complaint(f))"
        class="complaint"
      >
        {{ sentence(failure) }}
        <RouterLink v-if="openInstead" :to="{ name: 'overhead', params: { id: openInstead } }">Go there</RouterLink>
      </p>
      <BButton type="submit" class="btn-act w-100" :disabled="busy">{{
        busy ? 'Opening…' : 'Open the engine'
      }}</BButton>
    </form>
  </main>
</template>

<style scoped>
.narrow {
  max-width: 900px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.2rem 1.4rem;
}
</style>
