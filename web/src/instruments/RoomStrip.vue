<script setup lang="ts">
import { computed } from 'vue'

/** How far the crank may roll at a stop, both ways, before the first of its points is lifted. */
const props = defineProps<{ back: number; forward: number; anticlockwise?: boolean }>()
// Half a turn either way is as much as anybody needs to see.
const shown = (deg: number) => Math.min(deg, 180)
const most = computed(() => Math.max(shown(props.back), shown(props.forward), 40) * 1.2)
const x = (deg: number) => 150 + (Math.sign(deg) * shown(Math.abs(deg)) * 135) / most.value
</script>

<template>
  <svg
    class="room-strip"
    viewBox="0 0 300 74"
    role="img"
    :aria-label="`${Math.round(back)} degrees back, ${Math.round(forward)} degrees on`"
  >
    <line x1="10" x2="290" y1="40" y2="40" class="line" />
    <rect :x="x(-back)" y="28" :width="x(forward) - x(-back)" height="24" class="room" />
    <line x1="150" x2="150" y1="18" y2="60" class="mark" />
    <text x="143" y="20" text-anchor="end">{{ Math.round(back) }}° back</text>
    <text x="157" y="20" text-anchor="start">{{ Math.round(forward) }}° on</text>
    <text x="150" y="72" text-anchor="middle" class="soft">the mark</text>
  </svg>
</template>

<style scoped>
.room-strip {
  width: 100%;
  max-width: 320px;
  display: block;
}
.line {
  stroke: var(--line);
}
.room {
  fill: var(--blue-wash);
  stroke: var(--blue);
}
.mark {
  stroke: var(--ink);
  stroke-width: 3;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.soft {
  fill: var(--ink-soft);
}
</style>
