<script setup lang="ts">
/** Says that a dialog opens as it was left, and offers to begin it afresh. */
defineProps<{ shown: boolean }>()
const emit = defineEmits<{ afresh: [] }>()
</script>

<template>
  <p v-if="shown" class="small" role="status">
    As you left it, half typed.
    <button type="button" class="btn btn-plain" @click="emit('afresh')">Begin afresh</button>
  </p>
</template>
