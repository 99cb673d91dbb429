<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import { jobStates } from '../../../shared/words/shims'

/** How far a shim job is, as the line it goes along. */
defineProps<{ state: Schemas['ShimJobState'] }>()
const at = (state: string) => jobStates.findIndex(([key]) => key === state)
</script>

<template>
  <p v-if="state === 'dropped'" class="mb-0"><strong>Given up.</strong> Nothing was fitted by it.</p>
  <p v-else class="line mb-0" :aria-label="`State: ${jobStates[at(state)]![1]}`">
    <template v-for="([key, text], i) in jobStates" :key="key"
      ><span v-if="i" class="soft" aria-hidden="true"> → </span
      ><span :class="{ here: key === state, soft: i > at(state) }" :aria-current="key === state ? 'step' : undefined"
        >{{ text }}<template v-if="i < at(state)"> ✓</template></span
      ></template
    >
  </p>
</template>

<style scoped>
.line {
  font-size: 0.92rem;
  line-height: 1.7;
}
.here {
  font-weight: 700;
  border-bottom: 3px solid var(--blue);
}
</style>
