<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { useWrite, writes } from '../../../api/writes'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import Field from '../../../shared/fields/Field.vue'
import { day, moment } from '../../../shared/figures/days'
import { useForm } from '../../../shared/forms/useForm'
import { usePreferences } from '../../../shared/preferences'
import JobLine from './JobLine.vue'

/** One engine of a shim job: whether it runs meanwhile and who said so, and the second visit. */
const props = defineProps<{ job: Schemas['ShimJobResponse']; engine: Schemas['ShimJobEngine'] }>()
const preferences = usePreferences()
const happen = useWrite(writes.shimHappened)
const runs = ref(false)
const why = ref('')
const me = useMe()
const who = computed(() => me() ?? '')
const waits = computed(() => ['ordered', 'partsIn'].includes(props.engine.state))
const decide = (kind: 'runs' | 'stands') => ({
  check: () => ({
    who: !who.value && 'Say who decides.',
    why: kind === 'runs' && !why.value.trim() && 'Say why it may run meanwhile.',
  }),
  send: () =>
    happen.mutateAsync({
      jobId: props.job.id,
      id: newId(),
      kind,
      visitId: props.engine.visitId,
      who: who.value,
      why: why.value.trim() || undefined,
    }),
  done: () =>
    kind === 'runs' ? 'It runs meanwhile; that stands with your name.' : 'It stands until its shims are in.',
  then: () => ((runs.value = false), (why.value = '')),
})
const stand = useForm(decide('stands'))
const run = useForm(decide('runs'))
</script>

<template>
  <section class="plate p-3" :aria-label="engine.engine">
    <h2>{{ engine.engine }}</h2>
    <p class="small soft mb-1">
      Measured {{ day(engine.measuredOn)
      }}<template v-if="engine.hoursRun != null">, {{ Math.round(engine.hoursRun) }} h run since</template> ·
      {{ engine.fitted }} of {{ engine.toFit }} fitted
    </p>
    <JobLine v-if="job.engines.length > 1" :state="engine.state" />
    <p v-if="engine.mirrored" class="complaint">
      {{ engine.mirrored.first }} and {{ engine.mirrored.second }} mirror each other: one too tight, one too wide, by
      just the difference of their shims. Were the two swapped? Look before you close.
    </p>
    <p v-if="engine.findAgain && waits" class="mb-2">{{ engine.findAgain }}</p>
    <template v-if="waits">
      <p v-if="engine.meanwhile" class="mb-1">{{ engine.meanwhile }}</p>
      <p v-else class="mb-1 small">Nothing is tight: running meanwhile does no harm by its clearances.</p>
      <p v-if="engine.decision" class="mb-2">
        <strong>{{ engine.decision.kind === 'runs' ? 'It runs meanwhile' : 'It stands meanwhile' }}</strong>,
        {{ engine.decision.who }}, {{ moment(engine.decision.at)
        }}<template v-if="engine.decision.why">: {{ engine.decision.why }}</template>
      </p>
      <p v-else class="mb-2"><strong>May it run meanwhile?</strong></p>
      <div class="no-print">
        <Field
          v-if="!who"
          v-slot="{ bind }"
          label="Who decides"
          :complaint="stand.complaint('who') ?? run.complaint('who')"
        >
          <PersonField v-bind="bind" v-model="preferences.person" />
        </Field>
        <div class="d-flex gap-2 flex-wrap">
          <button type="button" class="btn btn-plain" :disabled="stand.busy" @click="stand.submit()">
            Keep out of service
          </button>
          <button type="button" class="btn btn-plain" :aria-expanded="runs" @click="runs = !runs">It may run…</button>
        </div>
        <form v-if="runs" class="mt-2" novalidate @submit.prevent="run.submit">
          <Field v-slot="{ bind }" label="Why it may run" :complaint="run.complaint('why')">
            <BFormInput v-bind="bind" v-model="why" autocomplete="off" />
          </Field>
          <button type="submit" class="btn btn-plain" :disabled="run.busy">It runs, by {{ who || '…' }}</button>
        </form>
        <p v-if="stand.rest || run.rest" class="complaint mb-0 mt-1" role="alert">{{ stand.rest || run.rest }}</p>
      </div>
    </template>
    <p class="no-print mb-0 mt-2">
      <BButton
        v-if="engine.fittingVisitId"
        class="w-100"
        :class="engine.state === 'closed' ? 'btn-plain' : 'btn-act'"
        :to="{ name: engine.state === 'closed' ? 'record' : 'visit', params: { id: engine.fittingVisitId } }"
        >{{ engine.state === 'closed' ? 'The record of the fitting' : 'Go on with the second visit' }}</BButton
      >
      <BButton
        v-else-if="engine.awaits && engine.state !== 'dropped'"
        class="w-100"
        :class="engine.state === 'partsIn' ? 'btn-act' : 'btn-plain'"
        :to="{ name: 'open', params: { engineId: engine.engineId }, query: { job: 'overhead' } }"
        >Open it again</BButton
      >
      <BButton
        v-else-if="engine.state !== 'dropped'"
        class="btn-plain w-100"
        :to="{ name: 'visit', params: { id: engine.visitId } }"
        >The visit is still open</BButton
      >
    </p>
  </section>
</template>
