<script setup lang="ts">
import type { Entry } from '../../../offline/entries'
import { plural } from '../../../shared/words/counts'
import TickList from './TickList.vue'
import type { SheetStep, Visit } from './useVisit'

/** Nothing is measured before these are ticked. What the job takes stands folded below. */
defineProps<{ view: Visit; items: SheetStep[]; kit: SheetStep[]; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
</script>

<template>
  <section>
    <h1 tabindex="-1">Make it safe</h1>
    <p class="soft mt-2">{{ view.context?.foremost }}</p>
    <TickList :items="items" :view="view" :locked="closed" @say="(...entries) => emit('say', ...entries)" />
    <details v-if="kit.length" class="kit">
      <summary>What it takes: {{ plural(kit.length, 'line') }}</summary>
      <TickList :items="kit" :view="view" :locked="closed" @say="(...entries) => emit('say', ...entries)" />
    </details>
  </section>
</template>

<style scoped>
.kit {
  margin-top: 1rem;
}
.kit summary {
  min-height: 44px;
}
</style>
