<script setup lang="ts">
import { ref, watchEffect } from 'vue'

/** A picture by its hash, from wherever it can be had; opened large by a tap. */
const props = defineProps<{ hash: string; alt: string; from: (hash: string) => Promise<string> }>()
const url = ref('')
const gone = ref(false)
watchEffect(async () => {
  gone.value = false
  url.value = await props.from(props.hash)
})
</script>

<template>
  <a v-if="url && !gone" :href="url" target="_blank" rel="noopener" class="photo"
    ><img :src="url" :alt="alt" loading="lazy" @error="gone = true"
  /></a>
  <span v-else-if="gone" class="small soft">its picture has not arrived yet</span>
</template>

<style scoped>
.photo {
  display: inline-block;
}
img {
  max-width: 240px;
  max-height: 180px;
  border: 1px solid var(--line);
}
@media print {
  img {
    max-width: 60mm;
    max-height: 45mm;
  }
}
</style>
