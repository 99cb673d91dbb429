<script setup lang="ts">
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import { isAskedIn } from '../../../shared/words/steps'
import TickList from './TickList.vue'
import type { Point, Visit } from './useVisit'

/** What this point asks before its as-left: its bridge, its index mark, its puck. */
const props = defineProps<{ view: Visit; point: Point; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const items = computed(
  () => props.view.context?.steps.filter((s) => s.point === props.point.label && isAskedIn(s, props.view.job)) ?? [],
)
</script>

<template>
  <div v-if="items.length" class="own" role="group" aria-label="At this point">
    <TickList
      :items="items"
      :view="view"
      :locked="closed"
      @tick="(step, on, said) => emit('say', { kind: 'ticked', step, on, ...(said ? { said } : {}) })"
    />
  </div>
</template>

<style scoped>
.own {
  border: 1.5px solid var(--line);
  margin: 0.4rem 0;
}
</style>
