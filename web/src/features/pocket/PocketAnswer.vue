<script setup lang="ts">
import { ref } from 'vue'
import type { Answer } from './tool'

/** The answer: a sentence, a picture, the working and where the rule comes from. */
defineProps<{ given: Answer; round: boolean }>()
const copied = ref(false)
async function copy() {
  await navigator.clipboard?.writeText(window.location.href).catch(() => undefined)
  copied.value = true
  setTimeout(() => (copied.value = false), 1500)
}
</script>

<template>
  <p class="sentence" :class="`is-${given.tone ?? 'ink'}`">{{ given.sentence }}</p>
  <div v-if="given.picture" class="picture" :class="{ round }">
    <component :is="given.picture.is" v-bind="given.picture.props" />
  </div>
  <ul v-if="given.lines?.length" class="said" tabindex="0" aria-label="More of the answer">
    <li v-for="(line, i) in given.lines" :key="i">{{ line }}</li>
  </ul>
  <details>
    <summary>Working and source</summary>
    <ol>
      <li v-for="(line, i) in given.working" :key="i">{{ line }}</li>
    </ol>
    <p class="mb-0"><span class="caps">Source</span> {{ given.source }}</p>
  </details>
  <p class="small soft mb-0 mt-2">
    The maker’s manual comes first.
    <button type="button" class="link" @click="copy">{{ copied ? 'Copied' : 'Copy the link to this question' }}</button>
  </p>
</template>

<style scoped>
.sentence {
  font-size: 1.45rem;
  font-weight: 700;
  line-height: 1.25;
}
.picture {
  margin: 0.4rem 0 0.8rem;
}
.picture.round {
  max-width: 320px;
}
.said {
  list-style: none;
  padding: 0;
  margin: 0 0 0.6rem;
  max-height: 70vh;
  overflow-y: auto;
}
.said li {
  padding: 0.15rem 0;
}
details {
  border-top: 1px solid var(--hairline);
  padding-top: 0.4rem;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  color: var(--blue);
  cursor: pointer;
}
summary::after {
  content: ' ▾';
  white-space: pre;
}
.link {
  background: none;
  border: 0;
  color: var(--blue);
  text-decoration: underline;
  padding: 0;
  min-height: 44px;
}
</style>
