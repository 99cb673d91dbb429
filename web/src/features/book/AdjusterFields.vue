<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { adjusterNames } from '../../shared/words/valvetrains'
import { shimAdjusters } from '../../shared/words/shims'
import { screws, valveAdjusters } from './adjusterForm'
import type { TypeForm } from './typeForm'

/** What sets the points, with the figures that this adjuster needs and no others. */
const form = defineModel<TypeForm>({ required: true })
const isScrew = computed(() => screws.includes(form.value.adjuster))
const isShim = computed(() => shimAdjusters.includes(form.value.adjuster))
const other = computed(() => form.value.exhaustAdjuster)
const anyBridge = computed(() => form.value.adjuster === 'bridgeScrew' || other.value === 'bridgeScrew')
const hasInjector = computed(() => /j/i.test(form.value.layout))
</script>

<template>
  <div class="three-columns">
    <Field
      v-slot="{ bind }"
      name="letters"
      label="Letters of its book"
      hint="On heads lettered in German E is the intake."
    >
      <BFormSelect v-bind="bind" v-model="form.letters">
        <option value="">as the layout tells</option>
        <option value="intakeExhaust">I intake, E exhaust</option>
        <option value="einlassAuslass">E intake (Einlass), A exhaust (Auslass)</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" name="byKind" label="Exhausts otherwise, on a mixed head">
      <BFormSelect v-bind="bind" v-model="form.exhaustAdjuster">
        <option value="">as the intakes</option>
        <option v-for="a in valveAdjusters" :key="a" :value="a">{{ adjusterNames[a] }}</option>
      </BFormSelect>
    </Field>
    <Field
      v-if="isScrew || screws.includes(other)"
      v-slot="{ bind }"
      name="pitchMm"
      label="Screw pitch"
      hint="Empty: no turn is given, it is set by the blade."
      ><NumberField v-bind="bind" v-model="form.pitch" unit="mm"
    /></Field>
    <Field
      v-if="isScrew || screws.includes(other)"
      v-slot="{ bind }"
      name="clearancePerTravel"
      label="Gap gained per screw travel"
      hint="1 at the valve. At the pushrod the rocker’s ratio; empty: no turn is given."
    >
      <NumberField v-bind="bind" v-model="form.ratio" />
    </Field>
    <Field
      v-if="isScrew"
      v-slot="{ bind }"
      name="screwFreeMm"
      label="Free thread at build"
      hint="What a new screw can still come out by as its seat comes up."
      ><NumberField v-bind="bind" v-model="form.screwFree" unit="mm"
    /></Field>
    <Field v-if="hasInjector" v-slot="{ bind }" label="Injector screw’s pitch"
      ><NumberField v-bind="bind" v-model="form.injectorPitch" unit="mm"
    /></Field>
    <Field
      v-if="anyBridge"
      v-slot="{ bind }"
      name="bridgeScrews"
      label="Bridges with a screw of their own"
      hint="all, none, or the points, such as 1E 2E"
    >
      <BFormInput v-bind="bind" v-model="form.bridgeScrews" placeholder="none" />
    </Field>
    <Field
      v-if="isShim || shimAdjusters.includes(other)"
      v-slot="{ bind }"
      class="wide"
      name="shimSizesMm"
      label="Shim sizes, mm"
      hint="2.30 to 3.20 by 0.05, or one after another"
    >
      <BFormInput v-bind="bind" v-model="form.shimSizes" class="figure" placeholder="2.30 to 3.20 by 0.05" />
    </Field>
    <template v-if="isShim || shimAdjusters.includes(other)">
      <Field
        v-slot="{ bind }"
        name="shimDiameterMm"
        label="Shims across"
        hint="Where several diameters are about: others do not fit."
      >
        <NumberField v-bind="bind" v-model="form.shimDiameter" unit="mm" />
      </Field>
      <Field
        v-slot="{ bind }"
        name="shimPerClearance"
        label="Shim travel per gap"
        hint="1, unless the follower has a ratio."
      >
        <NumberField v-bind="bind" v-model="form.shimRatio" />
      </Field>
    </template>
    <Field
      v-if="isShim || shimAdjusters.includes(other)"
      v-slot="{ bind }"
      class="wide"
      name="shimMarks"
      label="What is marked on them, in the order of the sizes"
      hint="Letters or numbers, where the maker marks them so; else empty."
    >
      <BFormInput v-bind="bind" v-model="form.shimMarks" class="figure" placeholder="A B C D" />
    </Field>
    <template v-if="form.adjuster === 'hydraulicPreload' || other === 'hydraulicPreload'">
      <Field v-slot="{ bind }" name="travelTurns" label="Plunger travel"
        ><NumberField v-bind="bind" v-model="form.travelTurns" unit="turns"
      /></Field>
      <Field v-slot="{ bind }" name="secondPassMinutes" label="Second pass after"
        ><NumberField v-bind="bind" v-model="form.secondPass" unit="min"
      /></Field>
    </template>
    <template v-if="form.cycle === 'twoStroke'">
      <Field
        v-slot="{ bind }"
        class="wide"
        name="uniflow"
        label="Exhaust opens, closes; injector from, to: degrees after TDC"
        hint="Empty: 95 235 −60 60."
      >
        <BFormInput v-bind="bind" v-model="form.uniflow" class="figure" placeholder="95 235 -60 60" />
      </Field>
    </template>
    <template v-else>
      <Field
        v-slot="{ bind }"
        name="pastTdcMm"
        label="Measured past TDC, piston travel"
        hint="With a compression release."
      >
        <NumberField v-bind="bind" v-model="form.pastTdc" unit="mm" />
      </Field>
      <template v-if="form.pastTdc">
        <Field v-slot="{ bind }" name="strokeMm" label="Stroke"
          ><NumberField v-bind="bind" v-model="form.stroke" unit="mm"
        /></Field>
        <Field v-slot="{ bind }" name="rodMm" label="Rod"
          ><NumberField v-bind="bind" v-model="form.rod" unit="mm"
        /></Field>
      </template>
    </template>
  </div>
  <BFormCheckbox v-if="isScrew" v-model="form.opensClockwise">This screw opens the gap clockwise</BFormCheckbox>
  <BFormCheckbox v-if="isScrew || form.adjuster === 'hydraulicPreload'" v-model="form.selfLocking" class="mb-3"
    >It holds by its own drag: no locknut</BFormCheckbox
  >
  <template v-if="form.adjuster === 'hydraulicPreload'">
    <BFormCheckbox v-model="form.runningMethod" class="mb-3">Its book sets it with the engine running</BFormCheckbox>
  </template>
</template>
