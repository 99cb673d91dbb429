<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import Field from '../../../shared/fields/Field.vue'
import { day } from '../../../shared/figures/days'
import { trays, type Tray } from '../trays'
import type { OpeningForm } from './useOpening'

/** The set to measure with: the fleet's own, one as it is sold, or one that is typed. */
const form = defineModel<OpeningForm>({ required: true })
const props = defineProps<{ own: Tray[]; instruments: Schemas['InstrumentResponse'][] }>()

const overdue = computed(() => props.instruments.find((i) => i.name === form.value.tray && i.checkDue && !i.withdrawn))
const hint = computed(() => {
  if (!overdue.value) return 'One set for the whole engine.'
  return overdue.value.lastCheck
    ? `Last found right ${day(overdue.value.lastCheck)}: its check is overdue.`
    : 'Nobody has checked this set yet.'
})
</script>

<template>
  <Field v-slot="{ bind }" name="tray.blades" label="Blades" :hint="hint">
    <BFormSelect v-bind="bind" v-model="form.tray">
      <optgroup v-if="own.length" label="This fleet’s">
        <option v-for="t in own" :key="t.name" :value="t.name">{{ t.name }}</option>
      </optgroup>
      <optgroup label="As they are sold">
        <option v-for="t in trays" :key="t.name" :value="t.name">{{ t.name }}</option>
      </optgroup>
      <option value="own">my own set…</option>
    </BFormSelect>
  </Field>
</template>
