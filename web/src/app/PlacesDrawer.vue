<script setup lang="ts">
import { BOffcanvas } from 'bootstrap-vue-next/components/BOffcanvas'
import Places from './Places.vue'
import ShownAs from './ShownAs.vue'

/** The places on a phone, where a row of them would take half the screen. */
const shown = defineModel<boolean>({ required: true })
</script>

<template>
  <BOffcanvas v-model="shown" placement="start" title="Go to" header-close-label="Close" no-animation>
    <Places class="down" all @went="shown = false" />
    <ShownAs class="mt-3" />
  </BOffcanvas>
</template>

<style scoped>
.down {
  flex-direction: column;
}
.down :deep(a) {
  font-size: 1.15rem;
  min-height: 52px;
}
</style>
