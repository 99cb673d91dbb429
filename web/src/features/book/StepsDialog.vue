<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import { plural } from '../../shared/words/counts'
import { jobNames } from '../../shared/words/jobs'
import { placeNames } from '../../shared/words/places'
import { kindWord } from '../../shared/words/points'
import { stepListNames } from '../../shared/words/steps'
import { emptyStep, stepLine, stepRequest, type StepLine } from './stepForm'

/** The steps a type owns: what is asked, where, of which points; a count has its twin, a look its question. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const change = useWrite(writes.changeType)
const kinds = () => [...new Set(props.type.points.map((p) => p.kind))]
const { typed, isHalf, afresh, sent } = useTypedDialog(
  open,
  () => `steps:${props.type.id}:${props.type.version}`,
  () => ({ lines: props.type.steps.map(stepLine), why: '' }),
)
const form = useForm({
  check: () => ({ why: !typed.why.trim() && 'Say where that comes from.' }),
  send: () =>
    change.mutateAsync({
      id: props.type.id,
      steps: typed.lines.map(stepRequest),
      why: typed.why.trim(),
      version: props.type.version,
    }),
  done: (type) => `${type.code} asks ${plural(type.steps.length, 'step')}.`,
  then: sent,
})
const mayCount = (l: StepLine) => l.list !== 'point' && l.list !== 'kit'
</script>

<template>
  <BModal v-model="open" :title="`${type.code}: its steps`" size="xl" no-footer>
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <p class="small soft">
        What keeps people safe follows from the machine and is not edited here. {{ '{point}' }} stands for the point’s
        name. With no place ticked a step is asked everywhere.
      </p>
      <fieldset v-for="(l, i) in typed.lines" :key="i" class="step">
        <legend class="visually-hidden">Step {{ i + 1 }}</legend>
        <BFormSelect v-model="l.list" :aria-label="`Step ${i + 1}: where`" class="where">
          <option v-for="(name, key) in stepListNames" :key="key" :value="key">{{ name }}</option>
        </BFormSelect>
        <Field v-slot="{ bind }" :name="`steps[${i}].text`" label="What to do" class="text">
          <BFormInput v-bind="bind" v-model="l.text" maxlength="300" />
        </Field>
        <Field v-if="l.list === 'point'" v-slot="{ bind }" label="Of">
          <BFormSelect v-bind="bind" v-model="l.kind">
            <option value="">every point</option>
            <option v-for="k in kinds()" :key="k" :value="k">{{ kindWord(k) }}</option>
          </BFormSelect>
        </Field>
        <Field v-if="l.list === 'stop'" v-slot="{ bind }" :name="`steps[${i}].crankDeg`" label="At, degrees">
          <BFormInput v-bind="bind" v-model="l.crankDeg" inputmode="decimal" placeholder="first" />
        </Field>
        <Field v-if="mayCount(l)" v-slot="{ bind }" :name="`steps[${i}].pair`" label="Counts">
          <BFormSelect v-bind="bind" v-model="l.counts">
            <option value="">nothing</option>
            <option value="out">parts out</option>
            <option value="in">parts back in</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" label="A look: what is to be seen?" class="looks">
          <BFormInput v-bind="bind" v-model="l.asks" :disabled="!!l.counts" />
        </Field>
        <Field v-slot="{ bind }" label="In">
          <BFormSelect v-bind="bind" v-model="l.onlyJob">
            <option value="">every job</option>
            <option v-for="(name, job) in jobNames" :key="job" :value="job">{{ name }}</option>
          </BFormSelect>
        </Field>
        <label v-if="l.list === 'point'" class="small tick"
          ><input v-model="l.afterFitting" type="checkbox" /> a look after the fitting</label
        >
        <span class="small places" role="group" :aria-label="`Step ${i + 1}: where the engine is`">
          <label v-for="(name, place) in placeNames" :key="place" class="tick"
            ><input v-model="l.places" type="checkbox" :value="place" /> {{ name.toLowerCase() }}</label
          ></span
        >
        <BButton class="btn-plain away" :aria-label="`Take step ${i + 1} away`" @click="typed.lines.splice(i, 1)"
          >✕</BButton
        >
      </fieldset>
      <div class="d-flex gap-2 flex-wrap mb-3">
        <BButton class="btn-plain" @click="typed.lines.push(emptyStep(typed.lines.length))">Another step</BButton>
        <BButton v-if="type.ownSteps" class="btn-plain" @click="typed.lines = []">As its adjusters ask, again</BButton>
      </div>
      <Field v-slot="{ bind }" name="why" label="Where that comes from">
        <BFormInput v-bind="bind" v-model="typed.why" placeholder="workshop manual, page 4-12" />
      </Field>
      <FormEnd>Change its steps</FormEnd>
    </form>
  </BModal>
</template>

<style scoped>
.step {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: flex-end;
  border-bottom: 1px solid var(--hairline);
  margin-bottom: 0.5rem;
}
.step :deep(.field) {
  margin-bottom: 0.5rem;
}
.where {
  width: 190px;
  margin-bottom: 0.5rem;
}
.text {
  flex: 3 1 260px;
}
.looks {
  flex: 2 1 180px;
}
.tick {
  display: flex;
  align-items: center;
  gap: 0.35rem;
  min-height: 44px;
}
.places {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.9rem;
}
.away {
  margin-bottom: 0.5rem;
}
</style>
