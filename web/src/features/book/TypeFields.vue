<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import AdjusterFields from './AdjusterFields.vue'
import SchoolFields from './SchoolFields.vue'
import SpecFields from './SpecFields.vue'
import { kindsOf } from './specForm'
import type { TypeForm } from './typeForm'

/** All that a manual says of an engine type. */
const form = defineModel<TypeForm>({ required: true })
defineProps<{ points?: number }>()
</script>

<template>
  <div>
    <div class="grid">
      <Field v-slot="{ bind }" name="code" label="Code"
        ><BFormInput v-bind="bind" v-model="form.code" autofocus
      /></Field>
      <Field v-slot="{ bind }" class="wide" name="name" label="What it is">
        <BFormInput v-bind="bind" v-model="form.name" placeholder="Lorry, straight six" />
      </Field>
      <Field v-slot="{ bind }" name="cycle" label="Cycle">
        <BFormSelect v-bind="bind" v-model="form.cycle">
          <option value="fourStroke">four-stroke</option>
          <option value="twoStroke">two-stroke, uniflow</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" name="firingOrder" label="Firing order">
        <BFormInput v-bind="bind" v-model="form.firingOrder" class="figure" placeholder="1 5 3 6 2 4" />
      </Field>
      <Field v-slot="{ bind }" name="firingAnglesDeg" label="Firing angles, if uneven">
        <BFormInput v-bind="bind" v-model="form.angles" class="figure" placeholder="even" />
      </Field>
      <Field v-slot="{ bind }" name="banks" label="Cylinders from the FRONT, banks by /">
        <BFormInput v-bind="bind" v-model="form.banks" class="figure" placeholder="1 3 5 7 / 2 4 6 8" />
      </Field>
      <Field
        v-slot="{ bind }"
        class="wide"
        name="layout"
        label="Points along each head from the FRONT: I E (or E A) J B"
        hint="Cylinders that differ are parted by |, as in I E | I E B."
      >
        <BFormInput v-bind="bind" v-model="form.layout" class="figure" placeholder="E I I E E I I E" />
      </Field>
      <Field
        v-if="form.cycle === 'fourStroke'"
        v-slot="{ bind }"
        name="valveTiming"
        label="Valve timing IVO IVC EVO EVC"
        hint="Empty: safe for most diesels."
      >
        <BFormInput v-bind="bind" v-model="form.timing" class="figure" placeholder="15 45 50 15" />
      </Field>
      <Field
        v-slot="{ bind }"
        name="rampGuardDeg"
        label="Ramp guard"
        hint="Kept clear before and after every lift; 15° where empty."
      >
        <NumberField v-bind="bind" v-model="form.guard" unit="°" />
      </Field>
    </div>
    <AdjusterFields v-model="form" />
    <h2 class="mb-2">How the book does it</h2>
    <SchoolFields v-model="form.schools" :points="points" />
    <h2 class="mb-2 mt-2">Clearances</h2>
    <SpecFields v-model="form.spec" within="spec." :kinds="kindsOf(form.layout)" />
    <h2 class="mb-2 mt-3">How often, and how it is barred</h2>
    <div class="grid">
      <Field v-slot="{ bind }" name="bookHours" label="Every"
        ><NumberField v-bind="bind" v-model="form.bookHours" unit="h"
      /></Field>
      <Field v-slot="{ bind }" name="bookMonths" label="or every"
        ><NumberField v-bind="bind" v-model="form.bookMonths" unit="months"
      /></Field>
      <Field v-slot="{ bind }" name="firstCheckHours" label="First check after a build">
        <NumberField v-bind="bind" v-model="form.firstCheck" unit="h" />
      </Field>
      <Field v-slot="{ bind }" name="breakInHours" label="Break-in"
        ><NumberField v-bind="bind" v-model="form.breakIn" unit="h"
      /></Field>
      <Field v-slot="{ bind }" name="jobHours" label="The job takes"
        ><NumberField v-bind="bind" v-model="form.jobHours" unit="h"
      /></Field>
      <Field v-slot="{ bind }" name="toolTurnsPerCrankTurn" label="Tool turns for a crank turn">
        <NumberField v-bind="bind" v-model="form.toolTurns" />
      </Field>
      <Field v-slot="{ bind }" name="rotation" label="Runs">
        <BFormSelect
          v-bind="bind"
          v-model="form.turns"
          :options="[{ value: '', text: 'choose…', disabled: true }, 'clockwise', 'anticlockwise']"
        />
      </Field>
      <Field v-slot="{ bind }" label="seen from, and barred from">
        <BFormSelect
          v-bind="bind"
          v-model="form.from"
          :options="[
            { value: '', text: 'choose…', disabled: true },
            { value: 'front', text: 'the front' },
            { value: 'flywheel', text: 'the flywheel' },
          ]"
        />
      </Field>
      <Field v-slot="{ bind }" class="wide" name="barringTool" label="Barred with">
        <BFormInput v-bind="bind" v-model="form.tool" placeholder="socket on the crank nut" />
      </Field>
    </div>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0 0.9rem;
  align-items: start;
}
.wide {
  grid-column: span 2;
}
.whole {
  grid-column: 1 / -1;
}
@media (max-width: 600px) {
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
  .wide {
    grid-column: auto;
  }
}
</style>
