<script setup lang="ts">
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import TickList from './TickList.vue'
import type { Point, Sheet, Visit } from './useVisit'

/** What this point asks: before its as-left, or once a shim or a puck went in. */
const props = defineProps<{ view: Visit; sheet: Sheet; point: Point; closed: boolean }>()
defineEmits<{ say: [...entries: Entry[]] }>()
const items = computed(() => props.sheet.steps.filter((s) => s.point === props.point.label && (s.due || s.ticked)))
</script>

<template>
  <div v-if="items.length" class="own" role="group" aria-label="At this point">
    <TickList :items="items" :view="view" :locked="closed" @say="(...entries) => $emit('say', ...entries)" />
  </div>
</template>

<style scoped>
.own {
  border: 1.5px solid var(--line);
  margin: 0.4rem 0;
}
</style>
