<script setup lang="ts">
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import { form as grammar, plural } from '../../../shared/words/counts'
import NotOpened from './NotOpened.vue'
import TickList from './TickList.vue'
import type { Sheet, SheetStep, Visit } from './useVisit'

/** After the last point: what the type asks before the covers go on, what every engine asks, and what was not looked at. */
const props = defineProps<{
  view: Visit
  sheet: Sheet
  before: SheetStep[]
  items: SheetStep[]
  closed: boolean
}>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const undone = computed(() => props.sheet.points.filter((p) => !p.done).length)
</script>

<template>
  <section>
    <h1 tabindex="-1">Close up</h1>
    <p v-if="undone" class="complaint mt-2">
      {{ plural(undone, 'point') }} {{ grammar(undone, 'is', 'are') }} not done yet.
    </p>
    <NotOpened v-if="undone && !closed" class="mt-2" :sheet="sheet" @say="(...entries) => emit('say', ...entries)" />
    <p v-else-if="sheet.notLookedAt.length" class="mt-2 mb-1">
      Not looked at: cylinder {{ sheet.notLookedAt.join(', ') }}.
    </p>
    <TickList
      v-if="before.length"
      class="mt-2 before"
      :items="before"
      :view="view"
      :locked="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
    <TickList
      class="mt-2"
      :items="items"
      :view="view"
      :locked="closed"
      @say="(...entries) => emit('say', ...entries)"
    />
  </section>
</template>

<style scoped>
.before {
  border-bottom: 2px solid var(--line);
}
</style>
