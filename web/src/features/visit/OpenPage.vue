<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { startTablet } from '../../core/tablet'
import { prepareVisit } from '../../offline/openVisit'
import { useSend } from '../../offline/useSend'
import { useTitle } from '../../shared/address/useTitle'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import HoursField from '../../shared/fields/HoursField.vue'
import PersonField from '../../shared/fields/PersonField.vue'
import { day, today } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { typedBlades } from '../../shared/figures/typedBlades'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTyped } from '../../shared/forms/useTyped'
import Loaded from '../../shared/loaded/Loaded.vue'
import { usePreferences } from '../../shared/preferences'
import { jobMeanings, jobNames, jobWord } from '../../shared/words/jobs'
import { methodNames } from '../../shared/words/methods'
import { placeNames } from '../../shared/words/places'
import { turnedByNames } from '../../shared/words/schools'
import { ownTrays, trays } from './trays'

const props = defineProps<{ engineId: string }>()
const route = useRoute()
const router = useRouter()
const preferences = usePreferences()
const engine = useQuery(() => queries.engine(props.engineId))
const instruments = useQuery(() => queries.instruments())
const send = useSend()
useTitle(() => engine.data.value && `Open ${engine.data.value.row.name}`)

// What judges the opening and the visit after it comes while somebody types.
onMounted(() => void startTablet().catch(() => undefined))

const visitId = newId()
const asked = String(route.query.job ?? '')
// What was typed for another job is of another form.
const { typed, forget } = useTyped(`open:${props.engineId}:${asked}`, {
  job: (asked in jobNames ? asked : 'overhead') as Schemas['JobKind'],
  hours: '',
  date: '',
  person: preferences.person,
  tray: preferences.tray || trays[0]!.name,
  ownBlades: '',
  ownUnit: 'mm',
  place: 'inMachine' as Schemas['VisitPlace'],
  turnedBy: '',
  typesIn: false,
  besides: [] as string[],
  /** The visit to go on with; 'anew' where somebody says otherwise. */
  goOn: '',
  method: '' as Schemas['TurningMethod'] | '',
})
watch(
  engine.data,
  (data) => {
    if (!data) return
    typed.method ||= data.type.method
    if (!preferences.tray && data.type.revisions.find((r) => r.inForce)?.figures[0]?.unit === 'thou')
      typed.tray = trays[2]!.name
  },
  { immediate: true },
)
const bench = computed(() => typed.place === 'onBench')
const waits = computed(() => (typed.place === 'inMachine' ? (engine.data.value?.waiting ?? []) : []))
/** The visit whose points wait: an overhead goes on with the newest unless somebody says otherwise. */
const goesOn = computed(
  () =>
    waits.value.find((w) => w.visitId === typed.goOn) ??
    (typed.goOn === '' && typed.job === 'overhead' ? (waits.value[0] ?? null) : null),
)
function goOnWith(w: Schemas['AwaitingPoints'] | null) {
  typed.goOn = w?.visitId ?? 'anew'
  if (w) typed.job = w.job
}
const own = computed(() => ownTrays(instruments.data.value ?? []))
const overdue = computed(() =>
  (instruments.data.value ?? []).find((i) => i.name === typed.tray && i.checkDue && !i.withdrawn),
)
/** A micrometer or a dial, used beside the blades. */
const besides = computed(() => (instruments.data.value ?? []).filter((i) => i.kind !== 'bladeSet' && !i.withdrawn))
// A set that was withdrawn since it was used here last is not offered any more.
watch([own, () => typed.tray], () => {
  const gone = instruments.data.value?.some((i) => i.name === typed.tray && i.withdrawn)
  if (gone) typed.tray = own.value[0]?.name ?? trays[0]!.name
})
const tray = computed(
  () =>
    [...own.value, ...trays].find((t) => t.name === typed.tray) ?? {
      name: 'own set',
      unit: typed.ownUnit,
      blades: typedBlades(typed.ownBlades),
    },
)
/** The job that signing closes: the one this was opened from, else the engine's overhead. */
const closes = computed(() => {
  const jobs = engine.data.value?.jobs ?? []
  const named = jobs.find((j) => j.id === route.query.jobId)
  return named ?? (typed.job === 'overhead' || typed.job === 'build' ? jobs.find((j) => j.closedByOverhead) : undefined)
})
const methods = computed(() => engine.data.value?.type.methods ?? [])
/** What stands there is shown, also where it was typed before a reload. */
const more = ref(!!typed.date || !!typed.besides.length)

const form = useForm({
  check: () => ({
    shownHours:
      notHours(typed.hours) ??
      (typed.place === 'inMachine' && !typed.hours.trim() && 'Give what the hour meter shows now.'),
    by: !typed.person && 'Choose who does the work.',
    'tray.blades': tray.value.blades.length === 0 && 'Name your blades, one after another, such as 0.10 0.15 0.20.',
  }),
  send: async () => {
    const opening = {
      kind: 'opened' as const,
      engineId: props.engineId,
      job: typed.job,
      date: typed.date || today(),
      shownHours: bench.value ? null : (typedHours(typed.hours) ?? null),
      ...(typed.place === 'inMachine' ? {} : { place: typed.place }),
      ...(typed.turnedBy && !bench.value ? { turnedBy: typed.turnedBy } : {}),
      tray: { setId: tray.value.name, unit: tray.value.unit, blades: tray.value.blades },
      ...(typeof route.query.jobId === 'string' ? { jobId: route.query.jobId } : {}),
      ...(typed.besides.length ? { instruments: typed.besides } : {}),
      // The book's way goes unsaid: where the starter turns the crank it gives way to one that needs no mark.
      ...(typed.method && typed.method !== engine.data.value?.type.method ? { method: typed.method } : {}),
      ...(goesOn.value ? { continues: goesOn.value.visitId } : {}),
    }
    const contextId = await prepareVisit(visitId, opening, typed.person, engine.data.value?.row.openOverheadId)
    return send.mutateAsync({ visitId, by: typed.person, entries: [{ ...opening, contextId }] })
  },
  then: async () => {
    const to = typed.typesIn ? 'type-in' : 'visit'
    forget()
    preferences.person = typed.person
    if (typed.tray !== 'own') {
      preferences.tray = typed.tray
      preferences.trayOf = { ...preferences.trayOf, [typed.person]: typed.tray }
    }
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
        <div class="two">
          <Field
            v-slot="{ bind }"
            name="shownHours"
            label="Hour meter shows now"
            :hint="
              bench
                ? 'A head on a bench has no meter.'
                : typed.place === 'onStand'
                  ? 'Only if it is at hand.'
                  : 'Read it, do not guess it.'
            "
          >
            <HoursField v-bind="bind" v-model="typed.hours" autofocus :disabled="bench" />
          </Field>
          <Field v-slot="{ bind }" name="by" label="Who does the work">
            <PersonField v-bind="bind" v-model="typed.person" />
          </Field>
          <Field
            v-slot="{ bind }"
            name="job"
            label="Opened for"
            :hint="
              closes &&
              `Signing it closes the job ‘${closes.title}’${closes.plannedOn ? `, planned for ${day(closes.plannedOn)}` : ''}.`
            "
          >
            <BFormSelect v-bind="bind" v-model="typed.job">
              <option v-for="(name, job) in jobNames" :key="job" :value="job">
                {{ name }}: {{ jobMeanings[job] }}
              </option>
            </BFormSelect>
          </Field>
          <Field
            v-slot="{ bind }"
            name="tray.blades"
            label="Blades"
            :hint="
              overdue
                ? overdue.lastCheck
                  ? `Last found right ${day(overdue.lastCheck)}: its check is overdue.`
                  : 'Nobody has checked this set yet.'
                : 'One set for the whole engine.'
            "
          >
            <BFormSelect v-bind="bind" v-model="typed.tray">
              <optgroup v-if="own.length" label="This fleet’s">
                <option v-for="t in own" :key="t.name" :value="t.name">{{ t.name }}</option>
              </optgroup>
              <optgroup label="As they are sold">
                <option v-for="t in trays" :key="t.name" :value="t.name">{{ t.name }}</option>
              </optgroup>
              <option value="own">my own set…</option>
            </BFormSelect>
          </Field>
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
          <fieldset v-if="waits.length" class="mb-3 goes-on">
            <legend class="form-label">What waits on this engine</legend>
            <label v-for="w in waits" :key="w.visitId" class="besides"
              ><input type="radio" name="goes-on" :checked="goesOn?.visitId === w.visitId" @change="goOnWith(w)" /> Go
              on with {{ w.points.join(', ') }}, waiting since {{ day(w.date) }} ({{ jobWord(w.job) }})</label
            >
            <label class="besides"
              ><input type="radio" name="goes-on" :checked="!goesOn" @change="goOnWith(null)" /> Not this time: measure
              anew</label
            >
          </fieldset>
          <template v-if="typed.tray === 'own'">
            <Field v-slot="{ bind }" name="tray.unit" label="Their unit">
              <BFormSelect v-bind="bind" v-model="typed.ownUnit" :options="['mm', 'thou']" />
            </Field>
            <Field v-slot="{ bind }" label="Blades, one after another">
              <BFormInput v-bind="bind" v-model="typed.ownBlades" placeholder="0.10 0.15 0.20 0.25" />
            </Field>
          </template>
          <template v-if="more">
            <label class="besides"
              ><input v-model="typed.typesIn" type="checkbox" /> Done on paper already: type the field sheet in</label
            >
            <fieldset v-if="besides.length" class="mb-3">
              <legend class="form-label">Measured with besides</legend>
              <label v-for="i in besides" :key="i.id" class="besides">
                <input v-model="typed.besides" type="checkbox" :value="i.name" /> {{ i.name }}
              </label>
            </fieldset>
            <Field v-slot="{ bind }" name="date" label="Day, if not today">
              <DayField v-bind="bind" v-model="typed.date" />
            </Field>
            <Field
              v-slot="{ bind }"
              name="method"
              label="How do you find the position?"
              hint="The book’s way stands first."
            >
              <BFormSelect v-bind="bind" v-model="typed.method">
                <option v-for="m in methods" :key="m" :value="m">
                  {{ methodNames[m] }}{{ m === data.type.method ? ' (the book)' : '' }}
                </option>
              </BFormSelect>
            </Field>
          </template>
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
.besides {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
}
.goes-on {
  grid-column: 1 / -1;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.2rem 1.4rem;
}
@media (max-width: 600px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
