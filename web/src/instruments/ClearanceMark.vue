<script setup lang="ts">
import type { SeriesMark } from './clearanceSeries'

/** One figure of a point's life: a ring as found, a dot as left, a bar between two blades; it says itself when it is pointed at. */
defineProps<{ mark: SeriesMark & { x: number; y: number }; at: (mm: number) => number; compact?: boolean }>()
</script>

<template>
  <g
    :tabindex="compact ? undefined : 0"
    role="img"
    :aria-label="mark.says"
    :class="[mark.side ? `is-${mark.side}` : '']"
    class="mark"
  >
    <title>{{ mark.says }}</title>
    <template v-if="mark.low !== undefined || mark.high !== undefined">
      <line
        :x1="mark.x"
        :x2="mark.x"
        :y1="at(mark.low ?? mark.high! - 0.03)"
        :y2="at(mark.high ?? mark.low! + 0.03)"
        class="bar"
      />
      <line
        v-if="mark.low != null"
        :x1="mark.x - 4"
        :x2="mark.x + 4"
        :y1="at(mark.low)"
        :y2="at(mark.low)"
        class="bar"
      />
      <line
        v-if="mark.high != null"
        :x1="mark.x - 4"
        :x2="mark.x + 4"
        :y1="at(mark.high)"
        :y2="at(mark.high)"
        class="bar"
      />
    </template>
    <circle
      v-else
      :cx="mark.x"
      :cy="mark.y"
      :r="compact ? 4 : 5"
      :class="[mark.isRing ? 'ring' : 'dot', { out: mark.excluded }]"
    />
    <circle v-if="!compact" :cx="mark.x" :cy="mark.y" r="12" class="reach" />
  </g>
</template>

<style scoped>
.mark {
  color: var(--ink);
}
.mark.is-tight {
  color: var(--tight);
}
.mark.is-loose {
  color: var(--loose);
}
.ring {
  fill: var(--plate);
  stroke: currentcolor;
  stroke-width: 2;
}
.dot {
  fill: currentcolor;
  stroke: var(--plate);
  stroke-width: 1;
}
.bar {
  stroke: currentcolor;
  stroke-width: 2;
}
.reach {
  fill: transparent;
}
.out {
  stroke-dasharray: 3 2;
}
</style>
