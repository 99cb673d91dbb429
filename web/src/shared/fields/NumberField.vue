<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BInputGroup } from 'bootstrap-vue-next/components/BInputGroup'

/** A number with its unit behind it, decimal point or comma. The value is what was typed; `typedNumber` reads it. */
const value = defineModel<string>({ required: true })
defineProps<{ unit?: string; placeholder?: string }>()
defineOptions({ inheritAttrs: false })
</script>

<template>
  <BInputGroup>
    <BFormInput
      v-bind="$attrs"
      v-model="value"
      class="figure"
      inputmode="decimal"
      autocomplete="off"
      :placeholder="placeholder"
    />
    <span v-if="unit" class="input-group-text" aria-hidden="true">{{ unit }}</span>
  </BInputGroup>
</template>
