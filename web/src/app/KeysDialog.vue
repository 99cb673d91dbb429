<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { isTyping, keysHere } from './keys'

const shown = ref(false)
function listen(event: KeyboardEvent) {
  if (event.key === '?' && !isTyping(event)) shown.value = !shown.value
}
onMounted(() => window.addEventListener('keydown', listen))
onBeforeUnmount(() => window.removeEventListener('keydown', listen))
</script>

<template>
  <BModal v-model="shown" title="Keys of this screen" no-footer>
    <p v-if="keysHere.length === 0" class="mb-0">This screen has no keys of its own. Tab moves, Enter presses.</p>
    <dl v-else class="facts">
      <template v-for="k in keysHere" :key="k.key">
        <dt class="figure">{{ k.key }}</dt>
        <dd>{{ k.does }}</dd>
      </template>
    </dl>
  </BModal>
</template>
