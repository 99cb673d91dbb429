<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { keysHere } from '../shared/keys/keys'

/** The keys of the page that is open. */
const shown = defineModel<boolean>({ required: true })
</script>

<template>
  <BModal v-model="shown" title="Keys of this screen" title-tag="h2" no-footer>
    <dl class="facts">
      <template v-for="k in keysHere" :key="k.key + k.does">
        <dt class="figure">{{ k.key }}</dt>
        <dd>{{ k.does }}</dd>
      </template>
      <dt class="figure">Tab, Enter</dt>
      <dd>go on, press</dd>
      <dt class="figure">?</dt>
      <dd>this list</dd>
    </dl>
    <p class="small soft mt-3 mb-0"><RouterLink to="/help" @click="shown = false">Help and glossary</RouterLink></p>
  </BModal>
</template>
