<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import Field from '../../../shared/fields/Field.vue'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'
import { amountOf, amountUnit, contactsOf, startsOf, type AmountUnit } from '../../../shared/words/amounts'
import { byTheBook, notAnAmount } from '../byTheBook'
import type { Point, Sheet } from './useVisit'

/** A point set by an amount or a sign: how it stood, how contact was found, then the amount. No gap is measured here. */
const props = defineProps<{ visitId: string; sheet: Sheet; point: Point }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const known = computed(() => props.point.amount)
const isZero = computed(() => known.value?.turns === 0)
const isLifter = computed(() => props.point.adjusterKind === 'hydraulic')
const isInjector = computed(() => props.point.adjusterKind === 'injectorScrew')
const bookUnit = computed(() => amountUnit(known.value))
const bookAmount = computed(() => amountOf(known.value))
/** Survives a reload, until it is said. Another amount than the book's has its own unit. */
const { typed, forget } = useTyped(`amount:${props.visitId}:${props.point.label}`, {
  contact: '',
  other: false,
  amount: '',
  unit: bookUnit.value as AmountUnit,
  why: '',
  notReached: false,
})

/** Said once for all, and changed where one differs: how they stood, and by which sign. A valve held open is never taken for granted. */
const { typed: usual } = useTyped(`amount-usual:${props.visitId}:${props.point.adjusterKind}`, {
  start: '' as Schemas['StartState'] | '',
  contact: '',
})
const start = computed(() => props.point.start ?? (usual.start || null))
const contact = computed(() => typed.contact || usual.contact)
const asBefore = computed(() => !props.point.start && !typed.contact && !!usual.start)
const starts = computed(() => startsOf(props.point.adjusterKind))
const contacts = computed(() => contactsOf(props.point.adjusterKind, bookUnit.value))
const isOwn = computed(() => typed.other || bookAmount.value == null)
const said = computed(() => (isOwn.value ? typed.amount.trim() : String(bookAmount.value)))
const saidUnit = computed(() => (isOwn.value ? typed.unit : bookUnit.value))
const odd = computed(() => (isOwn.value ? notAnAmount(typed.amount) : undefined))
const ready = computed(() => !!start.value && (isZero.value || (!!contact.value && !!said.value && !odd.value)))
const doText = computed(() => {
  if (isZero.value) return 'Zero: the pushrod just turns between the fingers'
  if (!said.value) return 'Set by the book'
  return `Set by ${said.value} ${saidUnit.value}${props.point.locks ? ', locked' : ', it holds by its own drag'}`
})

function stands(state: Schemas['StartState']) {
  if (state !== 'open') usual.start = state
  if (props.point.start !== state) emit('say', { kind: 'startState', point: props.point.label, state })
}
function set() {
  if (!ready.value) return
  const by = contact.value
  if (by) usual.contact = by
  const stood: Entry[] = props.point.start
    ? []
    : [{ kind: 'startState', point: props.point.label, state: start.value! }]
  forget()
  emit('say', ...stood, byTheBook(props.point.label, said.value, saidUnit.value, isZero.value ? '' : by))
}
function missed() {
  if (!typed.why.trim()) return
  forget()
  emit('say', { kind: 'outcome', point: props.point.label, outcome: 'notReached', why: typed.why.trim() })
}
</script>

<template>
  <div class="mt-3">
    <p class="verdict">
      {{ point.advice?.sentence ?? 'The book sets this point by an amount, not by a gap. Do it as the manual says.' }}
    </p>
    <p v-if="isLifter" class="small soft mb-1">
      Judge up and down only: side play and twist are not lash. A hand on the rocker gives a false zero. In doubt
      slacken it until it rattles, and begin again.
    </p>
    <p v-if="isLifter && sheet.runningMethod" class="small soft mb-1">
      Its book sets it with the engine running, tightened until the clatter stops. That is the book’s: no hands are
      guided into a running engine here. This is the still way beside it.
    </p>
    <p v-if="isInjector" class="small soft mb-1">
      Before the valves of its cylinder; fuel pressure off, no line is opened. Its spring preload keeps the follower on
      the lobe: it is no gap, and not in the trend.
    </p>
    <h2 class="ask">How does it stand?</h2>
    <p v-if="asBefore" class="small soft mb-1">As at the one before: look, and change what differs.</p>
    <div class="chips" role="radiogroup" aria-label="How it stands">
      <button
        v-for="[value, text] in starts"
        :key="value"
        type="button"
        class="btn chip"
        role="radio"
        :aria-checked="start === value"
        @click="stands(value)"
      >
        {{ text }}
      </button>
    </div>
    <p v-if="isLifter && point.start === 'open'" class="complaint mt-1" role="status">
      No play and then no compression: a pushrod of the wrong length, or a screw turned too far. Check the geometry
      before it is turned on.
      <RouterLink :to="{ name: 'pocket', params: { tool: 'pushrod-length' }, query: { start: 'pressed' } }"
        >Pushrod length</RouterLink
      >
    </p>
    <template v-if="!isZero">
      <h2 class="ask">{{ isLifter ? 'Zero lash, by which sign?' : 'First contact, by which sign?' }}</h2>
      <div class="chips" role="radiogroup" aria-label="How contact was found">
        <button
          v-for="text in contacts"
          :key="text"
          type="button"
          class="btn chip"
          role="radio"
          :aria-checked="contact === text"
          @click="typed.contact = text"
        >
          {{ text }}
        </button>
      </div>
      <div v-if="isOwn" class="d-flex gap-2 mt-2">
        <Field v-slot="{ bind }" label="Amount it was set by" :complaint="odd" class="flex-grow-1"
          ><BFormInput v-bind="bind" v-model="typed.amount" inputmode="decimal"
        /></Field>
        <Field v-slot="{ id }" label="in">
          <select :id="id" v-model="typed.unit" class="form-select">
            <option>turns</option>
            <option>mm</option>
            <option>Nm</option>
          </select>
        </Field>
      </div>
      <button v-else type="button" class="btn btn-link p-0 mt-1" @click="typed.other = true">
        Another amount than the book’s…
      </button>
    </template>
    <BButton class="btn-act w-100 keep mt-2" :disabled="!ready" @click="set">{{ doText }}</BButton>
    <p v-if="point.lockTorque" class="small soft mt-1 mb-0">Lock it: {{ point.lockTorque }}.</p>
    <button v-if="!typed.notReached" type="button" class="btn btn-plain mt-3" @click="typed.notReached = true">
      Not reached…
    </button>
    <form v-else class="d-flex gap-2 mt-3" @submit.prevent="missed">
      <BFormInput v-model="typed.why" aria-label="Why it is not reached" placeholder="because…" />
      <BButton type="submit" class="btn-plain" :disabled="!typed.why.trim()">Not reached</BButton>
    </form>
  </div>
</template>

<style scoped>
.ask {
  font-weight: 700;
  font-size: 1.1rem;
  margin: 0.8rem 0 0.4rem;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.chip {
  min-height: 48px;
  border: 1.5px solid var(--line);
  background: var(--plate);
  color: var(--ink);
  text-align: left;
}
.chip[aria-checked='true'] {
  border-color: var(--blue);
  background: var(--blue-wash);
  font-weight: 700;
}
.keep {
  min-height: 56px;
  font-size: 1.1rem;
}
</style>
