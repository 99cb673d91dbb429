<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import Field from '../../../shared/fields/Field.vue'
import type { OpeningForm } from './useOpening'

/** A set that nobody has named: its blades, typed. */
const form = defineModel<OpeningForm>({ required: true })
</script>

<template>
  <Field v-slot="{ bind }" name="tray.unit" label="Their unit">
    <BFormSelect v-bind="bind" v-model="form.ownUnit" :options="['mm', 'thou']" />
  </Field>
  <Field v-slot="{ bind }" label="Blades, one after another">
    <BFormInput v-bind="bind" v-model="form.ownBlades" placeholder="0.10 0.15 0.20 0.25" />
  </Field>
</template>
