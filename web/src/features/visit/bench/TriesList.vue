<script setup lang="ts">
import { feelWords } from '../../../shared/words/verdicts'
import type { Trial } from './useVisit'

/** Every try of the reading under way, each to be taken back by itself. */
defineProps<{ trials: Trial[]; figure?: string; figureEntry?: string; unit: string; dial?: boolean }>()
defineEmits<{ takeBack: [entry: string] }>()
</script>

<template>
  <ul v-if="trials.length || figure" class="tries">
    <li v-for="t in trials" :key="t.entry ?? t.blades.join()">
      <span class="figure">{{ t.blades.join(' + ') }}</span> {{ feelWords[t.feel] }}
      <button
        v-if="t.entry"
        type="button"
        class="btn btn-plain"
        :aria-label="`Take back ${t.blades.join(' + ')} ${feelWords[t.feel]}`"
        @click="$emit('takeBack', t.entry)"
      >
        ×
      </button>
    </li>
    <li v-if="figure">
      <span class="figure">{{ figure }}</span> {{ unit }}{{ dial ? ' on the dial' : ', typed' }}
      <button
        v-if="figureEntry"
        type="button"
        class="btn btn-plain"
        :aria-label="`Take back ${figure}`"
        @click="$emit('takeBack', figureEntry)"
      >
        ×
      </button>
    </li>
  </ul>
</template>

<style scoped>
.tries {
  list-style: none;
  padding: 0;
  margin: 0.5rem 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.9rem;
  font-size: 0.95rem;
}
li {
  display: flex;
  align-items: center;
  gap: 0.35rem;
}
.btn {
  min-width: 44px;
  padding: 0;
}
</style>
