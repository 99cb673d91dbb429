<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import type { Schemas } from '../../../api/client'
import Field from '../../../shared/fields/Field.vue'
import type { Entry } from '../../../offline/entries'
import type { Point } from './useVisit'

/** A point set by an amount or a sign: how it stood, then the amount. No gap is measured here. */
const props = defineProps<{ point: Point }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const states: [Schemas['StartState'], string][] = [
  ['rattles', 'it rattles'],
  ['pumpedUp', 'the plunger is pumped up'],
  ['collapsed', 'the plunger is collapsed'],
  ['freewheels', 'the roller freewheels'],
  ['open', 'it is held open'],
  ['zero', 'no play, no preload'],
]
const state = ref<Schemas['StartState'] | ''>(props.point.start ?? '')
const known = props.point.amount
const amount = ref(String(known?.turns ?? known?.mm ?? known?.nm ?? ''))
const unit = ref(known?.mm != null ? 'mm' : known?.nm != null ? 'Nm' : 'turns')
/** No gap and no preload: judged by its sign, with no amount to say. */
const isZero = known?.turns === 0
const why = ref('')

function set() {
  if (!state.value || !amount.value.trim()) return
  const start: Entry[] =
    props.point.start === state.value ? [] : [{ kind: 'startState', point: props.point.label, state: state.value }]
  emit('say', ...start, {
    kind: 'outcome',
    point: props.point.label,
    outcome: 'byTheBook',
    amount: amount.value.trim(),
    unit: unit.value,
    pass: 1,
  })
}
</script>

<template>
  <div class="mt-3">
    <p>
      {{ point.advice?.sentence ?? 'The book sets this point by an amount, not by a gap. Do it as the manual says.' }}
    </p>
    <Field v-slot="{ id }" label="How did it stand before?">
      <select :id="id" v-model="state" class="form-select">
        <option value="" disabled>choose…</option>
        <option v-for="[value, text] in states" :key="value" :value="value">{{ text }}</option>
      </select>
    </Field>
    <div v-if="!isZero" class="d-flex gap-2">
      <Field v-slot="{ id }" label="Amount it was set by" class="flex-grow-1"
        ><BFormInput :id="id" v-model="amount" inputmode="decimal"
      /></Field>
      <Field v-slot="{ id }" label="in">
        <select :id="id" v-model="unit" class="form-select">
          <option>turns</option>
          <option>mm</option>
          <option>Nm</option>
        </select>
      </Field>
    </div>
    <BButton class="btn-act w-100" :disabled="!state || !amount.trim()" @click="set">{{
      isZero ? 'Zero: the pushrod just turns between the fingers' : 'Set by the book'
    }}</BButton>
    <form
      class="d-flex gap-2 mt-3"
      @submit.prevent="why.trim() && emit('say', { kind: 'outcome', point: point.label, outcome: 'notReached', why })"
    >
      <BFormInput v-model="why" aria-label="Why it is not reached" placeholder="not reached, because…" />
      <BButton type="submit" class="btn-plain" :disabled="!why.trim()">Not reached</BButton>
    </form>
  </div>
</template>
