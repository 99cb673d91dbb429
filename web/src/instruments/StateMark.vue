<script setup lang="ts">
/** What an engine or a valve wears: six marks that differ in black and white, and a hatched one for borderline. In its window it wears none. Always beside a word. */
export type Wears =
  'tight' | 'loose' | 'borderline' | 'inWindow' | 'wearing' | 'pastInterval' | 'due' | 'neverMeasured' | 'none'
const props = defineProps<{ state?: Wears | null; size?: number }>()
const words: Partial<Record<Wears, string>> = {
  tight: 'tight',
  loose: 'loose',
  borderline: 'borderline',
  wearing: 'wearing towards a limit',
  pastInterval: 'past its interval',
  due: 'due',
  neverMeasured: 'never measured',
}
</script>

<template>
  <svg
    v-if="state && words[state]"
    class="mark"
    :class="`is-${state}`"
    viewBox="0 0 20 16"
    :width="props.size ?? 18"
    :height="(props.size ?? 18) * 0.8"
    role="img"
    :aria-label="words[state]"
    fill="none"
    stroke="currentColor"
    stroke-width="3.2"
  >
    <path v-if="state === 'tight'" d="M0 5.4 H20 M0 10.6 H20" />
    <path v-else-if="state === 'loose'" d="M0 2.4 H20 M0 13.6 H20" />
    <path
      v-else-if="state === 'borderline'"
      d="M1 2 H19 V14 H1 Z M3 14 L11 2 M9 14 L17 2 M1 8 L5 2 M15 14 L19 8"
      stroke-width="1.4"
    />
    <path v-else-if="state === 'wearing'" d="M1 3 L16 11.6 M9.6 13.2 L17.6 12.6 L13.8 5.6" stroke-width="2.4" />
    <path
      v-else-if="state === 'pastInterval'"
      d="M4 0.5 V15.5 M4 2 H17.5 L13.6 6 L17.5 10 H4 Z"
      stroke-width="1.6"
      fill="currentColor"
    />
    <path v-else-if="state === 'due'" d="M4 0.5 V15.5 M4 2 H17.5 L13.6 6 L17.5 10 H4" stroke-width="1.8" />
    <circle v-else cx="10" cy="8" r="6.4" stroke-width="1.8" stroke-dasharray="2.6 2.4" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  color: var(--ink);
}
.is-tight {
  color: var(--tight);
}
.is-loose {
  color: var(--loose);
}
.is-due {
  color: var(--blue);
}
</style>
