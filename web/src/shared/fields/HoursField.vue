<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { hoursWays } from '../figures/typedHours'
import NumberField from './NumberField.vue'

/** Hours of an engine. A figure that could be two is asked beside the field, with both readings to tap. */
const value = defineModel<string>({ required: true })
defineOptions({ inheritAttrs: false })
const ways = computed(() => hoursWays(value.value))
</script>

<template>
  <NumberField v-bind="$attrs" v-model="value" unit="h" />
  <div v-if="ways.length > 1" class="ways" role="group" aria-label="Which figure is meant?">
    <BButton v-for="way in ways" :key="way" class="btn-plain" @click="value = String(way)">{{ way }} h</BButton>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 0.5rem;
  margin-top: 0.4rem;
}
</style>
