<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { day } from '../../../shared/figures/days'
import { useFigures } from '../../../shared/figures/useFigures'
import { useTyped } from '../../../shared/forms/useTyped'
import { jobWord } from '../../../shared/words/jobs'
import { trendAnswers, type TrendAnswer } from '../../../shared/words/trend'
import type { Entry } from '../../../offline/entries'
import CustomerSign from './CustomerSign.vue'
import SignRefusals from './SignRefusals.vue'
import type { Step } from './useSteps'
import type { Sheet, Trouble, Visit } from './useVisit'

/** The end of a visit: what keeps it from being signed, the signature, or what became of it. */
const person = defineModel<string>('person', { required: true })
const props = defineProps<{ view: Visit; sheet: Sheet; trouble: Trouble | null; name: (id: string) => string }>()
const emit = defineEmits<{
  sign: [remark: string]
  go: [to: Step]
  pick: [label: string]
  giveUp: []
  answer: [what: TrendAnswer]
  swapped: [yes: boolean]
  note: []
  say: [...entries: Entry[]]
}>()
const figures = useFigures()
const { typed, forget } = useTyped(`sign:${props.view.visitId}`, { remark: '' })
const answers = { warm: trendAnswers.warm, otherBlades: trendAnswers.otherBlades, counts: 'No, it is so' }
const missing = ref('')
const unanswered = ref(false)
function sign() {
  missing.value = person.value ? '' : 'Choose who signs.'
  unanswered.value = !!(props.view.doubt || props.view.swapped)
  if (!person.value || unanswered.value || props.view.refusals.length > 0) return
  const remark = typed.remark.trim()
  forget()
  emit('sign', remark)
}
</script>

<template>
  <section v-if="view.signed">
    <h1 tabindex="-1">Signed by {{ name(view.signed.by) }}</h1>
    <p class="mt-2">{{ day(view.signed.at) }}. The figures stand; a correction is a new entry with who and why.</p>
    <div class="d-flex gap-2 flex-wrap">
      <BButton class="btn-act" :to="{ name: 'engine', params: { id: view.engineId } }">See when it is due now</BButton>
      <BButton class="btn-plain" :to="{ name: 'record', params: { id: view.visitId } }">The record</BButton>
    </div>
  </section>
  <section v-else-if="view.state === 'abandoned'">
    <h1 tabindex="-1">Given up</h1>
    <p class="mt-2">This visit makes no record, and its readings are in no trend. The engine is free again.</p>
    <BButton class="btn-act" :to="{ name: 'engine', params: { id: view.engineId } }">The engine</BButton>
  </section>
  <section v-else>
    <h1 tabindex="-1">Sign</h1>
    <SignRefusals
      v-if="view.refusals.length"
      :view="view"
      :sheet="sheet"
      @go="(to) => emit('go', to)"
      @pick="(label) => emit('pick', label)"
    />
    <p v-else class="mt-2">Every point has an as-found and an as-left. With your name the record stands.</p>
    <p v-if="view.mirrored" class="plate plate-strong p-3 mb-3" role="alert">
      <strong>{{ view.mirrored.first }} and {{ view.mirrored.second }} mirror each other:</strong> one came out tighter,
      the other wider than expected, by just the difference of their shims. Look whether the two were swapped before you
      sign.
    </p>
    <div
      v-if="view.swapped"
      class="plate plate-strong p-3 mb-3"
      role="group"
      aria-label="Two points read as each other"
    >
      <p class="mb-1">
        <strong>{{ view.swapped.first }} and {{ view.swapped.second }} read as each other was expected to.</strong>
        Were the two written down the wrong way round?
      </p>
      <div class="d-flex gap-2 flex-wrap">
        <BButton class="btn-plain" @click="emit('swapped', true)">Yes, swapped</BButton>
        <BButton class="btn-plain" @click="emit('swapped', false)">No, measured so</BButton>
      </div>
      <p v-if="unanswered" class="complaint mb-0 mt-1" role="alert">Answer this first; the record keeps it.</p>
    </div>
    <div v-if="view.doubt" class="plate plate-strong p-3 mb-3" role="group" aria-label="Everything reads one way">
      <p class="mb-1">
        <strong>
          Everything reads {{ figures.withUnit(Math.abs(view.doubt.shiftMm)) }}
          {{ view.doubt.shiftMm < 0 ? 'tighter' : 'looser' }} than expected, on {{ view.doubt.points }} points.
        </strong>
        Was the engine warm, or were other blades used? It can still be measured again.
      </p>
      <div class="d-flex gap-2 flex-wrap">
        <BButton v-for="(text, what) in answers" :key="what" class="btn-plain" @click="emit('answer', what)">{{
          text
        }}</BButton>
      </div>
      <p v-if="unanswered" class="complaint mb-0 mt-1" role="alert">Answer this first; the record keeps it.</p>
    </div>
    <p v-if="view.newerRevision" class="plate p-3" role="note">
      The book has a newer revision than the one this is judged by: {{ view.newerRevision.revision }},
      {{ view.newerRevision.source }}, dated {{ day(view.newerRevision.date) }}. Look at its figures before you sign.
    </p>
    <form novalidate @submit.prevent="sign">
      <Field v-slot="{ bind }" label="Name" :complaint="missing">
        <PersonField v-bind="bind" v-model="person" />
      </Field>
      <Field v-slot="{ bind }" label="Remark, if any"><BFormInput v-bind="bind" v-model="typed.remark" /></Field>
      <p v-if="trouble?.entry.kind === 'signed'" class="complaint" role="alert">{{ trouble.refusal.message }}</p>
      <BButton type="submit" class="btn-act w-100" :disabled="view.refusals.length > 0"
        >Sign the {{ jobWord(view.job) }}</BButton
      >
    </form>
    <CustomerSign :view="view" @say="(...entries) => emit('say', ...entries)" />
    <div class="d-flex gap-2 flex-wrap mt-3">
      <BButton class="btn-plain" @click="emit('note')">Remark or photo of the visit…</BButton>
      <BButton class="btn-plain" :to="{ name: 'handover', params: { id: view.visitId } }">Hand it over…</BButton>
      <BButton class="btn-plain ms-auto" @click="emit('giveUp')">Give this visit up…</BButton>
    </div>
  </section>
</template>
