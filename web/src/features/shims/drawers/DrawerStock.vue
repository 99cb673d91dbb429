<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import { plural } from '../../../shared/words/counts'
import { accessNames, drawerKinds, inches, knownBy, size } from '../../../shared/words/shims'

/** One drawer: its sizes as stacks, thinnest first, by what they fit. */
const props = defineProps<{ drawer: Schemas['DrawerResponse']; picked: boolean }>()
defineEmits<{ pick: [] }>()
const sorts = computed(() => {
  const by = new Map<string, Schemas['HeldResponse'][]>()
  for (const h of props.drawer.held) {
    const key = `${accessNames[h.access]}${h.diameterMm != null ? `, ${h.diameterMm} mm across` : ''}`
    by.set(key, [...(by.get(key) ?? []), h])
  }
  return [...by]
})
const count = computed(() => props.drawer.held.reduce((sum, h) => sum + h.count, 0))
const stamped = (h: Schemas['HeldResponse']) =>
  h.unit === 'mm' ? (h.written === size(h.sizeMm) ? '' : `stamped ${h.written}`) : `stamped ${h.written} ${h.unit}`
</script>

<template>
  <section class="plate p-3" :class="{ 'plate-strong': picked }" :aria-label="drawer.name">
    <div class="ends">
      <h2>
        <button type="button" class="text-link name" :aria-pressed="picked" @click="$emit('pick')">
          {{ drawer.name }}
        </button>
      </h2>
      <span class="small soft">{{ drawerKinds[drawer.kind] }}, {{ drawer.site }} · {{ plural(count, 'shim') }}</span>
    </div>
    <div v-for="[sort, held] in sorts" :key="sort" class="mt-1">
      <p class="small soft mb-1">{{ sort }}</p>
      <ul class="stacks plain-list">
        <li v-for="h in held" :key="h.sizeMm" class="stack" :title="[knownBy[h.knownBy], inches(h.sizeMm)].join(', ')">
          <svg
            :viewBox="`0 0 34 ${Math.min(h.count, 4) * 11}`"
            width="34"
            :height="Math.min(h.count, 4) * 11"
            aria-hidden="true"
          >
            <rect v-for="n in Math.min(h.count, 4)" :key="n" x="1" :y="(n - 1) * 11 + 1" width="32" height="9" />
          </svg>
          <span class="figure">{{ size(h.sizeMm) }}</span>
          <span class="small">× {{ h.count }}</span>
          <span v-if="stamped(h)" class="small soft">{{ stamped(h) }}</span>
          <span v-if="h.knownBy === 'printed'" class="small soft">printed</span>
          <span v-else-if="h.knownBy === 'lapped'" class="small soft">lapped</span>
        </li>
      </ul>
    </div>
    <p v-if="!drawer.held.length" class="small soft mb-0">It is empty.</p>
  </section>
</template>

<style scoped>
.name {
  color: var(--ink);
}
.stacks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.7rem;
}
.stack {
  display: grid;
  justify-items: center;
  align-content: end;
  line-height: 1.2;
}
rect {
  fill: var(--shade);
  stroke: var(--ink-soft);
  stroke-width: 1.2;
}
</style>
