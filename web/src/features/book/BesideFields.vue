<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import FormFold from '../../shared/forms/FormFold.vue'
import AdjusterFields from './AdjusterFields.vue'
import SchoolFields from './SchoolFields.vue'
import type { TypeForm } from './typeForm'

/** What a book may say besides: folded, and safe where it is left empty. */
const form = defineModel<TypeForm>({ required: true })
defineProps<{ points?: number }>()
</script>

<template>
  <p class="caps soft mb-1">What the manual may say besides</p>
  <FormFold title="The adjusters" says="pitch and ratio for turns, shim sizes, bridges, lifters">
    <AdjusterFields v-model="form" />
  </FormFold>
  <FormFold title="Timing and positions" says="two-stroke, uneven firing, valve timing">
    <div class="three-columns">
      <Field v-slot="{ bind }" name="cycle" label="Cycle">
        <BFormSelect v-bind="bind" v-model="form.cycle">
          <option value="fourStroke">four-stroke</option>
          <option value="twoStroke">two-stroke, uniflow</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" name="firingAnglesDeg" label="Firing angles, if uneven">
        <BFormInput v-bind="bind" v-model="form.angles" class="figure" placeholder="even" />
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
  </FormFold>
  <FormFold title="How the book does it" says="its stops, order, judging, names of the valves">
    <SchoolFields v-model="form.schools" :points="points" />
  </FormFold>
  <FormFold title="How often, and how it is barred" says="months, first check, job hours, barring tool">
    <div class="three-columns">
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
      <Field v-slot="{ bind }" name="barringTool" label="Barred with" hint="Empty: not known.">
        <BFormInput v-bind="bind" v-model="form.tool" placeholder="socket on the crank nut" />
      </Field>
      <Field v-slot="{ bind }" name="toolTurnsPerCrankTurn" label="Tool turns for a crank turn">
        <NumberField v-bind="bind" v-model="form.toolTurns" />
      </Field>
    </div>
  </FormFold>
  <FormFold title="What it is filed as" says="a code of its own, the revision">
    <div class="three-columns">
      <Field v-slot="{ bind }" name="code" label="Code" hint="Empty: it goes by what it is.">
        <BFormInput v-bind="bind" v-model="form.code" />
      </Field>
      <Field v-slot="{ bind }" name="spec.revision" label="Revision of the clearances">
        <BFormInput v-bind="bind" v-model="form.spec.revision" placeholder="A" />
      </Field>
      <Field v-slot="{ bind }" name="spec.date" label="Dated"
        ><DayField v-bind="bind" v-model="form.spec.date"
      /></Field>
    </div>
  </FormFold>
</template>
