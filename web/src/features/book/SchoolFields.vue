<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BFormTextarea } from 'bootstrap-vue-next/components/BFormTextarea'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { methodNames } from '../../shared/words/methods'
import { judgingNames, mannerNames, measuringNames, orderNames, settingNames } from '../../shared/words/schools'
import { stopUnits } from './bookStops'
import type { SchoolForm } from './schoolForm'

/** How the book does it at the engine: whoever works there chooses otherwise. */
const form = defineModel<SchoolForm>({ required: true })
defineProps<{ points?: number }>()
const options = (names: Record<string, string>) => Object.entries(names).map(([value, text]) => ({ value, text }))
</script>

<template>
  <div class="three-columns">
    <Field v-slot="{ bind }" name="method" label="Finds the position by">
      <BFormSelect v-bind="bind" v-model="form.method" :options="options(methodNames)" />
    </Field>
    <Field v-slot="{ bind }" name="order" label="At a stop">
      <BFormSelect v-bind="bind" v-model="form.order" :options="options(orderNames)" />
    </Field>
    <Field v-slot="{ bind }" name="setting" label="Sets">
      <BFormSelect
        v-bind="bind"
        v-model="form.setting"
        :options="[{ value: '', text: 'as the adjuster suggests' }, ...options(settingNames)]"
      />
    </Field>
    <Field v-slot="{ bind }" name="judging" label="Judges">
      <BFormSelect v-bind="bind" v-model="form.judging" :options="options(judgingNames)" />
    </Field>
    <Field v-slot="{ bind }" name="manner" label="Sets and locks">
      <BFormSelect v-bind="bind" v-model="form.manner" :options="options(mannerNames)" />
    </Field>
    <Field v-slot="{ bind }" name="measuring" label="Measures with">
      <BFormSelect v-bind="bind" v-model="form.measuring" :options="options(measuringNames)" />
    </Field>
    <Field
      v-slot="{ bind }"
      name="dialConversion"
      label="Clearance per dial travel"
      hint="1 over the factor between dial and lobe: 0.417 for 2.4."
    >
      <NumberField v-bind="bind" v-model="form.dialConversion" />
    </Field>
    <Field v-slot="{ bind }" class="wide" name="dialContact" label="Where the dial touches">
      <BFormInput v-bind="bind" v-model="form.dialContact" placeholder="on the rocker, over the valve" />
    </Field>
    <Field
      v-slot="{ bind }"
      class="whole"
      name="pointNames"
      label="What the book calls the valves, front to back, bank by bank"
      hint="Numbers or names, only where the book has its own; parted by commas where a name has a space."
    >
      <div class="d-flex gap-2">
        <BFormInput v-bind="bind" v-model="form.pointNames" class="figure" placeholder="1 2 3 4 5 6 7 8" />
        <BButton
          v-if="points"
          class="btn-plain text-nowrap"
          @click="form.pointNames = Array.from({ length: points }, (_, i) => i + 1).join(' ')"
          >Number them</BButton
        >
      </div>
    </Field>
    <template v-if="form.method === 'book'">
      <Field
        v-slot="{ bind }"
        class="wide"
        name="bookStops"
        label="The book’s stops, one a line: where: valves"
        hint="By the book’s numbers or names, or by cylinder: 1I 2E."
      >
        <BFormTextarea v-bind="bind" v-model="form.stops" class="figure" rows="4" placeholder="0: 1I 1E 2I 3E" />
      </Field>
      <Field v-slot="{ bind }" label="counted in">
        <BFormSelect v-bind="bind" v-model="form.stopUnit" :options="options(stopUnits)" />
      </Field>
    </template>
    <Field v-slot="{ bind }" name="pins" label="Lock pins or cam bars" hint="Asked before every turn: out?">
      <BFormInput v-bind="bind" v-model="form.pins" placeholder="the flywheel pin" />
    </Field>
    <Field v-slot="{ bind }" name="pulleyMm" label="Diameter of the pulley with the marks">
      <NumberField v-bind="bind" v-model="form.pulley" unit="mm" />
    </Field>
    <Field
      v-slot="{ bind }"
      name="camMark"
      label="Mark of the camshaft"
      hint="A notch, dot or line that tells the lap."
    >
      <BFormInput v-bind="bind" v-model="form.camMark" placeholder="the notch of the cam gear" />
    </Field>
    <div class="ticks">
      <BFormCheckbox v-model="form.rotor">A distributor’s rotor can be seen</BFormCheckbox>
      <BFormCheckbox v-model="form.spark">Spark engine</BFormCheckbox>
      <BFormCheckbox v-model="form.interference">A valve can meet its piston</BFormCheckbox>
    </div>
  </div>
</template>

<style scoped>
.ticks {
  padding-top: 1.6rem;
}
</style>
