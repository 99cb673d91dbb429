<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Entry } from '../../offline/entries'
import { useTyped } from '../../shared/forms/useTyped'
import { amountOf, amountUnit, contactsOf, startsOf, startWords } from '../../shared/words/amounts'
import { spoken } from '../../shared/words/points'
import { byTheBook, notAnAmount } from './byTheBook'
import type { Point, Trouble } from './bench/useVisit'

/** The points of a field sheet that are set by an amount: how each stood, how contact was found, the amount; Enter writes a line down. */
const props = defineProps<{ visitId: string; points: Point[]; trouble: Trouble | null; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
interface Line {
  start: Point['start'] | ''
  contact: string
  amount: string
}
const unitOf = (p: Point) => amountUnit(p.amount)
const isZero = (p: Point) => p.amount?.turns === 0
/** Lines half filled in survive a reload. */
const { typed: lines } = useTyped<Record<string, Line>>(`sheet-amounts:${props.visitId}`, {})
for (const p of props.points)
  lines[p.label] ??= {
    start: p.start ?? '',
    contact: contactsOf(p.adjusterKind, unitOf(p))[0] ?? '',
    amount: String(amountOf(p.amount) ?? ''),
  }
const complaint = (p: Point) => {
  const odd = notAnAmount(lines[p.label]!.amount)
  if (odd) return odd
  const entry = props.trouble?.entry
  return entry && 'point' in entry && entry.point === p.label ? props.trouble!.refusal.message : ''
}
const isReady = (p: Point) =>
  !!lines[p.label]!.start && !!lines[p.label]!.amount.trim() && !notAnAmount(lines[p.label]!.amount)
function write(p: Point) {
  const line = lines[p.label]!
  if (!isReady(p) || !line.start) return
  const started: Entry[] = p.start === line.start ? [] : [{ kind: 'startState', point: p.label, state: line.start }]
  emit('say', ...started, byTheBook(p.label, line.amount.trim(), unitOf(p), isZero(p) ? '' : line.contact))
}
</script>

<template>
  <section class="mt-3">
    <h2>Set by amount</h2>
    <form v-for="p in points" :key="p.label" class="line" @submit.prevent="write(p)">
      <strong>{{ spoken(p) }}</strong>
      <span v-if="p.outcome" class="soft"
        >{{ p.amountSaid ?? p.outcome }}<template v-if="p.start">, before: {{ startWords[p.start] }}</template></span
      >
      <template v-else>
        <select v-model="lines[p.label]!.start" class="form-select" :aria-label="`${spoken(p)}: how it stood`">
          <option value="" disabled>how it stood…</option>
          <option v-for="[value, text] in startsOf(p.adjusterKind)" :key="value" :value="value">{{ text }}</option>
        </select>
        <select
          v-if="!isZero(p)"
          v-model="lines[p.label]!.contact"
          class="form-select"
          :aria-label="`${spoken(p)}: how contact was found`"
        >
          <option v-for="text in contactsOf(p.adjusterKind, unitOf(p))" :key="text">{{ text }}</option>
        </select>
        <input
          v-model="lines[p.label]!.amount"
          class="form-control figure amount"
          inputmode="decimal"
          :aria-label="`${spoken(p)}: amount in ${unitOf(p)}`"
        />
        <span class="soft">{{ unitOf(p) }}</span>
        <BButton type="submit" class="btn-plain" :disabled="closed || !isReady(p)">So it was set</BButton>
        <p v-if="complaint(p)" class="complaint small mb-0" role="alert">{{ complaint(p) }}</p>
      </template>
    </form>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 7rem minmax(9rem, 14rem) minmax(9rem, 1fr) 5.5rem 3rem auto;
  gap: 0.5rem;
  align-items: center;
  margin-bottom: 0.4rem;
}
.line > .complaint {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
