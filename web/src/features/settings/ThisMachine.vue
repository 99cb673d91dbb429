<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import Field from '../../shared/fields/Field.vue'
import { usePreferences } from '../../shared/preferences'
import { keptSignal } from '../../shared/signals/keptSignal'

/** What this machine alone prefers; kept here at once, without a button. */
const preferences = usePreferences()
</script>

<template>
  <section class="plate p-3">
    <h2>This machine</h2>
    <p class="small soft">Only here; kept as soon as it is chosen.</p>
    <Field v-slot="{ bind }" label="Unit shown first" hint="On every screen; figures are kept as they were written.">
      <BFormSelect v-bind="bind" v-model="preferences.unit" :options="['mm', 'thou']" />
    </Field>
    <Field v-slot="{ bind }" label="Light">
      <BFormSelect v-bind="bind" v-model="preferences.chosenTheme">
        <option value="system">as the system has it</option>
        <option value="light">light</option>
        <option value="dark">dim, for the night shift</option>
      </BFormSelect>
    </Field>
    <BFormCheckbox v-model="preferences.keepAwake" class="tall">Keep the screen awake at the engine</BFormCheckbox>
    <BFormCheckbox v-model="preferences.sound" class="tall">A short tone when a figure is kept</BFormCheckbox>
    <BFormCheckbox v-model="preferences.buzz" class="tall">A short buzz when a figure is kept</BFormCheckbox>
    <button type="button" class="btn btn-plain mt-2" @click="keptSignal(preferences.sound, preferences.buzz)">
      Try tone and buzz
    </button>
  </section>
</template>
