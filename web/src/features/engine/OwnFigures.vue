<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import { emptyLine, isFilled, lineFields, lineRequest } from '../../shared/spec/specLine'
import SpecLineFields from '../../shared/spec/SpecLineFields.vue'
import { kindWord } from '../../shared/words/points'

/** Figures this engine carries over its type's: a plate that differs, a camshaft of another maker. Who, why and from where stand beside them. */
const props = defineProps<{ engineId: string; figures: Schemas['OwnFigureResponse'][]; kinds: Schemas['LashKind'][] }>()
const add = useWrite(writes.addOwnFigure)
const withdraw = useWrite(writes.withdrawOwnFigure)
const open = ref(false)
const back = ref<string | null>(null)
const empty = () => ({
  line: emptyLine(props.kinds[0] ?? 'intake'),
  condition: 'cold' as Schemas['SpecCondition'],
  unit: 'mm',
  who: '',
  why: '',
  source: '',
})
const { typed, isHalf, afresh, sent } = useTypedDialog(open, () => `own:${props.engineId}`, empty)
/** An injector is asked for an amount, a valve for a gap. */
const asksOf = (kind: unknown) => (typed.line.asks = emptyLine(kind as Schemas['LashKind']).asks)
const form = useForm({
  check: () => ({
    line: !isFilled(typed.line) && 'Give the figure as its source writes it.',
    who: !typed.who.trim() && 'Say who says so.',
    why: !typed.why.trim() && 'Say why this engine differs from its type.',
    source: !typed.source.trim() && 'Say where the figure comes from.',
  }),
  send: () =>
    add.mutateAsync({
      engineId: props.engineId,
      line: lineRequest(typed.line, typed.unit),
      condition: typed.condition,
      who: typed.who,
      why: typed.why,
      source: typed.source,
    }),
  done: () => 'This engine carries its own figure now.',
  then: sent,
})
/** Cells of the line and what stands for all of them. */
const cells = ['line', 'lines', ...lineFields.map((name) => `line.${name}`), ...lineFields, 'demand']
for (const name of cells) form.shows(name)
const wrong = computed(() => cells.map((name) => form.complaint(name)).find(Boolean))
const taken = reactive({ who: '', why: '' })
const takeBack = useForm({
  check: () => ({
    who: !taken.who.trim() && 'Say who.',
    why: !taken.why.trim() && 'Say why the type’s figure holds again.',
  }),
  send: () => withdraw.mutateAsync({ engineId: props.engineId, figureId: back.value!, ...taken }),
  done: () => 'The type’s figure holds again.',
  then: () => (back.value = null),
})
</script>

<template>
  <section class="plate p-3 mt-2">
    <div class="d-flex justify-content-between align-items-center">
      <h2>Figures of its own</h2>
      <button type="button" class="btn btn-plain" @click="open = true">Add…</button>
    </div>
    <p v-if="!figures.length" class="small soft mb-0">None; the type’s figures apply.</p>
    <div v-for="f in figures" :key="f.id" class="mb-2">
      <strong>{{ kindWord(f.kind) }} {{ f.written }}</strong
      >, {{ f.condition }}
      <span class="small soft d-block">{{ f.source }}: {{ f.why }} ({{ f.who }}, {{ day(f.date) }})</span>
      <button type="button" class="btn btn-plain" @click="back = f.id">Back to the type’s…</button>
    </div>
    <BModal v-model="open" lazy title="A figure of this engine’s own" title-tag="h2" no-footer focus="form select">
      <form novalidate @submit.prevent="form.submit">
        <HalfTyped :shown="isHalf" @afresh="afresh" />
        <div class="three">
          <Field v-slot="{ bind }" name="line.kind" label="Of">
            <BFormSelect v-bind="bind" v-model="typed.line.kind" @update:model-value="asksOf">
              <option v-for="k in kinds" :key="k" :value="k">{{ kindWord(k) }}</option>
            </BFormSelect>
          </Field>
          <Field v-slot="{ bind }" name="condition" label="For a">
            <BFormSelect v-bind="bind" v-model="typed.condition">
              <option value="cold">cold engine</option>
              <option value="hot">hot engine</option>
            </BFormSelect>
          </Field>
          <Field v-slot="{ bind }" name="line.unit" label="Unit">
            <BFormSelect v-bind="bind" v-model="typed.unit" :options="['mm', 'thou']" />
          </Field>
        </div>
        <SpecLineFields v-model="typed.line" :invalid="!!wrong" />
        <p v-if="wrong" class="complaint mb-2" role="alert">{{ wrong }}</p>
        <Field v-slot="{ bind }" name="source" label="From where"
          ><BFormInput v-bind="bind" v-model="typed.source" placeholder="its plate; the maker of its camshaft"
        /></Field>
        <Field v-slot="{ bind }" name="why" label="Why it differs"
          ><BFormInput v-bind="bind" v-model="typed.why"
        /></Field>
        <Field v-slot="{ bind }" name="who" label="Your name"><BFormInput v-bind="bind" v-model="typed.who" /></Field>
        <FormEnd>Judge it by this figure</FormEnd>
      </form>
    </BModal>
    <BModal
      :model-value="back !== null"
      lazy
      title="Back to the type’s figure"
      title-tag="h2"
      no-footer
      @update:model-value="back = null"
    >
      <form novalidate @submit.prevent="takeBack.submit">
        <Field v-slot="{ bind }" name="who" label="Who"><BFormInput v-bind="bind" v-model="taken.who" /></Field>
        <Field v-slot="{ bind }" name="why" label="Why"><BFormInput v-bind="bind" v-model="taken.why" /></Field>
        <FormEnd>Take it back</FormEnd>
      </form>
    </BModal>
  </section>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 0.8rem;
}
</style>
