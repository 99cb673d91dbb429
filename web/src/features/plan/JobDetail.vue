<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, reactive, ref, watch } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { toast } from '../../shared/toasts/toasts'
import { plural } from '../../shared/words/counts'
import { ruleWords } from '../../shared/words/due'
import { workText } from '../../shared/words/plan'
import { useMoving } from './useMoving'

/** One job: why it stands where it does or why not, what it needs, and another day tried before it is taken. */
const props = defineProps<{ job: Schemas['JobResponse']; plan: Schemas['PlanResponse'] }>()
const emit = defineEmits<{ close: [] }>()
const place = useWrite(writes.placeJob)
const takeOut = useWrite(writes.takeJobOut)
const change = useWrite(writes.changeJob)
const at = computed(() => props.plan.placements.find((p) => p.jobId === props.job.id))
const out = computed(() => props.plan.unplaced.find((u) => u.jobId === props.job.id))
const name = (id?: string | null) => props.plan.people.find((p) => p.id === id)?.name ?? 'nobody'
const typed = reactive({ personId: at.value?.personId ?? '', date: at.value?.date ?? '', why: '' })
const dropping = ref(false)
const { state, hold } = useMoving()
watch(
  () => [typed.personId, typed.date],
  () => {
    if (typed.personId && typed.date) hold(props.job.id, typed.personId, typed.date)
  },
)
const form = useForm({
  check: () =>
    dropping.value
      ? { why: !typed.why.trim() && 'Say why it is not done.' }
      : { personId: !typed.personId && 'Choose who does it.', date: !typed.date && 'Choose the day.' },
  send: async () => {
    if (dropping.value) await change.mutateAsync({ jobId: props.job.id, state: 'dropped', why: typed.why })
    else await place.mutateAsync({ jobId: props.job.id, personId: typed.personId, date: typed.date })
  },
  done: () => (dropping.value ? 'Not done after all.' : 'It stands there, pinned.'),
  then: () => dropping.value && emit('close'),
})
async function pin(pinned: boolean) {
  try {
    await place.mutateAsync({ jobId: props.job.id, pinned })
  } catch (caught) {
    toast(sentence(caught))
  }
}
async function remove() {
  await takeOut.mutateAsync(props.job.id)
  toast('Taken out of the plan.')
}
async function finish() {
  await change.mutateAsync({ jobId: props.job.id, state: 'done' })
  toast('Done.')
  emit('close')
}
async function ordered(part: Schemas['JobPart'], here: boolean) {
  const parts = props.job.parts.map((p) =>
    p === part ? { ...p, orderedOn: p.orderedOn ?? props.plan.today, here } : p,
  )
  await change.mutateAsync({ jobId: props.job.id, parts })
}
</script>

<template>
  <section class="plate plate-strong p-3" aria-label="The job">
    <div class="d-flex justify-content-between gap-2">
      <h2>
        {{ at ? 'Why here?' : out ? 'Does not fit:' : '' }} {{ job.engine
        }}<template v-if="at">, {{ day(at.date) }}, {{ name(at.personId) }}</template>
      </h2>
      <BButton class="btn-plain text-nowrap align-self-start" @click="emit('close')">Close</BButton>
    </div>
    <ul class="mb-2">
      <li v-if="at">{{ at.because }}</li>
      <li v-if="at?.mateId">With {{ name(at.mateId) }} as the second.</li>
      <li v-if="out">{{ out.reason }}</li>
      <li>
        {{ job.title }}: {{ workText(job.time)
        }}<template v-if="job.dueDate"
          >; due {{ day(job.dueDate) }}<template v-if="job.rule"> by {{ ruleWords[job.rule] }}</template></template
        >.
      </li>
      <li v-if="job.earliestDate">Not before {{ day(job.earliestDate) }}.</li>
      <li v-if="job.tools.length">Needs {{ job.tools.join(', ') }}.</li>
      <li v-if="job.opens">It opens the engine: an overhead can go with it.</li>
      <li v-else>It stands cold from the evening before.</li>
      <li v-for="w in job.waiting" :key="w.visitId">
        {{ w.points.join(', ') }} {{ w.points.length > 1 ? 'wait' : 'waits' }} for a part since {{ day(w.date) }}.
        <RouterLink :to="{ name: 'record', params: { id: w.visitId } }">The record</RouterLink>
      </li>
      <li v-for="p in job.parts" :key="p.name ?? ''">
        {{ p.name }}, {{ plural(p.leadDays ?? 0, 'day') }} to come:
        {{ p.here ? 'here' : p.orderedOn ? `ordered ${day(p.orderedOn)}` : `order by ${day(job.orderBy)}` }}
        <button v-if="!p.here" type="button" class="btn btn-plain btn-sm" @click="ordered(p, !!p.orderedOn)">
          {{ p.orderedOn ? 'It is here' : 'Ordered today' }}
        </button>
      </li>
    </ul>
    <div class="d-flex gap-2 flex-wrap mb-2">
      <BButton v-if="at" class="btn-plain" @click="pin(!at.pinned)">{{ at.pinned ? 'Unpin it' : 'Pin it' }}</BButton>
      <BButton v-if="at" class="btn-plain" @click="remove">Take it out</BButton>
      <BButton class="btn-plain" :to="{ name: 'job-card', params: { id: job.id } }">Job card</BButton>
      <BButton v-if="job.opens" class="btn-plain" @click="finish">It is done</BButton>
      <BButton
        v-else
        class="btn-act"
        :to="{ name: 'open', params: { engineId: job.engineId }, query: { jobId: job.id } }"
        >Start it</BButton
      >
      <BButton class="btn-plain" @click="dropping = !dropping">Not to be done…</BButton>
    </div>
    <form novalidate class="move" @submit.prevent="form.submit">
      <Field v-if="dropping" v-slot="{ bind }" name="why" label="Why not">
        <BFormInput v-bind="bind" v-model="typed.why" autocomplete="off" />
      </Field>
      <template v-else>
        <Field v-slot="{ bind }" name="personId" label="Who">
          <BFormSelect v-bind="bind" v-model="typed.personId">
            <option value="">choose…</option>
            <option v-for="p in plan.people" :key="p.id" :value="p.id">{{ p.name }}</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" name="date" label="Day"><DayField v-bind="bind" v-model="typed.date" /></Field>
        <p v-if="state.moving" class="said mb-2" role="status">
          {{ state.moving.failure || state.moving.check?.sentence }}
        </p>
      </template>
      <FormEnd>{{ dropping ? 'Drop it' : 'Put it there' }}</FormEnd>
    </form>
  </section>
</template>

<style scoped>
.move {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 1rem;
  border-top: 1px solid var(--hairline);
  padding-top: 0.6rem;
}
.move > :deep(button),
.said {
  grid-column: 1 / -1;
}
</style>
