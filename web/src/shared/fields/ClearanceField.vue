<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BInputGroup } from 'bootstrap-vue-next/components/BInputGroup'

/** A clearance as it is written, with its unit chosen beside it: point or comma, mm or thou. */
const figure = defineModel<string>({ required: true })
const unit = defineModel<string>('unit', { required: true })
defineOptions({ inheritAttrs: false })
</script>

<template>
  <BInputGroup>
    <BFormInput v-bind="$attrs" v-model="figure" class="figure" inputmode="decimal" autocomplete="off" />
    <select v-model="unit" class="form-select unit" aria-label="Unit">
      <option>mm</option>
      <option>thou</option>
    </select>
  </BInputGroup>
</template>

<style scoped>
.unit {
  flex: 0 0 92px;
}
</style>
