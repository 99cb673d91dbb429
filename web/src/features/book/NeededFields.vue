<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { ref, watch } from 'vue'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { adjusterNames } from '../../shared/words/valvetrains'
import { valveAdjusters } from './adjusterForm'
import LayoutPicks from './LayoutPicks.vue'
import NeededClearances from './NeededClearances.vue'
import { runs, type TypeForm } from './typeForm'

/** What nobody can do without: what it is, how it fires, where its valves are, what sets them and to what, and which way it runs. */
const form = defineModel<TypeForm>({ required: true })
const hasBanks = ref(!!form.value.banks.trim())
watch(
  () => form.value.banks,
  (banks) => banks.includes('/') && (hasBanks.value = true),
)
</script>

<template>
  <div class="three-columns">
    <Field v-slot="{ bind }" class="wide" name="name" label="What it is">
      <BFormInput v-bind="bind" v-model="form.name" autofocus placeholder="Lorry, straight six" />
    </Field>
    <Field v-slot="{ bind }" name="firingOrder" label="Firing order">
      <BFormInput v-bind="bind" v-model="form.firingOrder" class="figure" placeholder="1 5 3 6 2 4" />
    </Field>
    <Field
      v-slot="{ bind }"
      class="whole"
      name="layout"
      label="Valves along the head from the FRONT: I intake, E exhaust"
      hint="J an injector, B an engine brake. Cylinders that differ are parted by |, as in I E | I E B."
    >
      <BFormInput v-bind="bind" v-model="form.layout" class="figure" placeholder="E I I E E I I E" />
      <LayoutPicks v-model="form.layout" :order="form.firingOrder" :banks="form.banks" :cycle="form.cycle" />
    </Field>
    <div class="whole mb-2">
      <BFormCheckbox v-model="hasBanks">It has two banks: a vee or a boxer</BFormCheckbox>
      <Field
        v-if="hasBanks"
        v-slot="{ bind }"
        name="banks"
        label="Cylinders of each bank from the FRONT, parted by /"
        hint="The valves above are along one bank; two that differ are parted by / too."
      >
        <BFormInput v-bind="bind" v-model="form.banks" class="figure" placeholder="1 3 5 7 / 2 4 6 8" />
      </Field>
    </div>
    <Field v-slot="{ bind }" class="wide" name="adjuster" label="Set with">
      <BFormSelect v-bind="bind" v-model="form.adjuster">
        <option value="" disabled>choose…</option>
        <option v-for="a in valveAdjusters" :key="a" :value="a">{{ adjusterNames[a] }}</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" name="bookHours" label="Every, if the manual says"
      ><NumberField v-bind="bind" v-model="form.bookHours" unit="h"
    /></Field>
  </div>
  <NeededClearances v-model="form.spec" :layout="form.layout" />
  <Field
    v-slot="{ bind }"
    name="rotation"
    label="Runs"
    hint="Turned against it, some engines are damaged and marks lie: unknown is asked about before anybody bars it."
  >
    <BFormSelect v-bind="bind" v-model="form.runs">
      <option value="" disabled>choose…</option>
      <option v-for="way in runs" :key="way">{{ way }}</option>
      <option value="unknown">not known</option>
    </BFormSelect>
  </Field>
</template>
