<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal } from '../../../api/client'
import { newId } from '../../../api/newId'
import { queries } from '../../../api/queries'
import { startTablet } from '../../../core/tablet'
import { prepareVisit } from '../../../offline/openVisit'
import { useSend } from '../../../offline/useSend'
import { useTitle } from '../../../shared/address/useTitle'
import Field from '../../../shared/fields/Field.vue'
import HoursField from '../../../shared/fields/HoursField.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { day } from '../../../shared/figures/days'
import { hours } from '../../../shared/figures/hours'
import { notHours } from '../../../shared/figures/typedHours'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { jobMeanings, jobNames } from '../../../shared/words/jobs'
import { placeNames } from '../../../shared/words/places'
import { turnedByNames } from '../../../shared/words/schools'
import BladesField from './BladesField.vue'
import OwnBladesFields from './OwnBladesFields.vue'
import RareFields from './RareFields.vue'
import { useOpening } from './useOpening'
import WaitingPoints from './WaitingPoints.vue'

const props = defineProps<{ engineId: string }>()
const router = useRouter()
const engine = useQuery(() => queries.engine(props.engineId))
const owned = useQuery(() => queries.instruments())
const instruments = computed(() => owned.data.value ?? [])
const send = useSend()
useTitle(() => engine.data.value && `Open ${engine.data.value.row.name}`)

// What judges the opening and the visit after it comes while somebody types.
onMounted(() => void startTablet().catch(() => undefined))

const visitId = newId()
const { typed, forget, own, tray, bench, waits, goesOn, closes, entry, remember } = useOpening(
  props.engineId,
  () => engine.data.value,
  () => instruments.value,
)
/** What stands there is shown, also where it was typed before a reload. */
const more = ref(!!typed.date || !!typed.besides.length)
const metersHint = computed(() => {
  if (bench.value) return 'A head on a bench has no meter.'
  return typed.place === 'onStand' ? 'Only if it is at hand.' : 'Read it, do not guess it.'
})
const closesHint = computed(() => {
  const job = closes.value
  if (!job) return undefined
  return `Signing it closes the job ‘${job.title}’${job.plannedOn ? `, planned for ${day(job.plannedOn)}` : ''}.`
})

const form = useForm({
  check: () => ({
    shownHours:
      notHours(typed.hours) ??
      (typed.place === 'inMachine' && !typed.hours.trim() && 'Give what the hour meter shows now.'),
    by: !typed.person && 'Choose who does the work.',
    'tray.blades': tray.value.blades.length === 0 && 'Name your blades, one after another, such as 0.10 0.15 0.20.',
  }),
  send: async () => {
    const opening = entry()
    const contextId = await prepareVisit(visitId, opening, typed.person, engine.data.value?.row.openOverheadId)
    return send.mutateAsync({ visitId, by: typed.person, entries: [{ ...opening, contextId }] })
  },
  then: async () => {
    const to = typed.typesIn ? 'type-in' : 'visit'
    forget()
    remember()
    await router.replace({ name: to, params: { id: visitId } })
  },
})
/** Somebody else has it open already: the way there. */
const openInstead = computed(() =>
  form.failure instanceof Refusal && form.failure.code === 'engineOpen'
    ? (form.failure.body.visitId as string | undefined)
    : undefined,
)
</script>

<template>
  <Loaded v-slot="{ data }" :query="engine" what="engine" back="/" back-text="The yard">
    <main class="page narrow">
      <div class="page-head">
        <div>
          <h1>Open {{ data.row.name }}</h1>
          <p class="soft mb-0 mt-1">
            Last on the meter: <span class="figure">{{ hours(data.row.shownHours) }}</span> h
          </p>
        </div>
      </div>
      <form class="plate p-4" novalidate @submit.prevent="form.submit">
        <div class="two-columns">
          <Field v-slot="{ bind }" name="shownHours" label="Hour meter shows now" :hint="metersHint">
            <HoursField v-bind="bind" v-model="typed.hours" autofocus :disabled="bench" />
          </Field>
          <Field v-slot="{ bind }" name="by" label="Who does the work">
            <PersonField v-bind="bind" v-model="typed.person" />
          </Field>
          <Field v-slot="{ bind }" name="job" label="Opened for" :hint="closesHint">
            <BFormSelect v-bind="bind" v-model="typed.job">
              <option v-for="(name, job) in jobNames" :key="job" :value="job">
                {{ name }}: {{ jobMeanings[job] }}
              </option>
            </BFormSelect>
          </Field>
          <BladesField v-model="typed" :own="own" :instruments="instruments" />
          <Field v-slot="{ bind }" name="place" label="Where it is">
            <BFormSelect v-bind="bind" v-model="typed.place">
              <option v-for="(text, place) in placeNames" :key="place" :value="place">{{ text }}</option>
            </BFormSelect>
          </Field>
          <Field v-if="!bench" v-slot="{ bind }" name="turnedBy" label="What turns the crank">
            <BFormSelect v-bind="bind" v-model="typed.turnedBy">
              <option v-for="(text, by) in turnedByNames" :key="by" :value="by">{{ text }}</option>
            </BFormSelect>
          </Field>
          <WaitingPoints v-if="waits.length" v-model="typed" :waits="waits" :goes-on="goesOn" />
          <OwnBladesFields v-if="typed.tray === 'own'" v-model="typed" />
          <RareFields v-if="more" v-model="typed" :type="data.type" :instruments="instruments" />
        </div>
        <button v-if="!more" type="button" class="btn btn-plain mb-3" @click="more = true">
          Another day, method or instrument…
        </button>
        <FormEnd busy-word="Opening…" :needs-server="false">
          Open the engine
          <template v-if="openInstead" #way>
            <RouterLink :to="{ name: 'visit', params: { id: openInstead } }">Go there</RouterLink>
          </template>
        </FormEnd>
      </form>
    </main>
  </Loaded>
</template>

<style scoped>
.narrow {
  max-width: 900px;
}
</style>
