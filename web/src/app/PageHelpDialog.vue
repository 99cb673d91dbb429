<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { keysHere } from '../shared/keys/keys'
import { pageOf } from '../shared/words/pages'

/** What the page that is open is for, and its keys. */
const shown = defineModel<boolean>({ required: true })
const route = useRoute()
const page = computed(() => pageOf(String(route.name)))
</script>

<template>
  <BModal v-model="shown" :title="page?.title ?? 'This page'" title-tag="h2" no-footer>
    <p v-for="line in page?.lines" :key="line" class="mb-1">{{ line }}</p>
    <h3 class="sub mt-3 mb-1">Keys of this screen</h3>
    <dl class="facts">
      <template v-for="k in keysHere" :key="k.key + k.does">
        <dt class="figure">{{ k.key }}</dt>
        <dd>{{ k.does }}</dd>
      </template>
      <dt class="figure">/</dt>
      <dd>find an engine, a type, a person or a page</dd>
      <dt class="figure">Tab, Enter</dt>
      <dd>go on, press</dd>
      <dt class="figure">?</dt>
      <dd>this list</dd>
    </dl>
    <p class="small mt-3 mb-0"><RouterLink to="/help" @click="shown = false">Help and all words</RouterLink></p>
  </BModal>
</template>
