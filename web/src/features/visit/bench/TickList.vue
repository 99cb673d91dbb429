<script setup lang="ts">
import type { Schemas } from '../../../api/client'

defineProps<{ items: Schemas['StepRecord'][]; ticked: string[]; locked?: boolean }>()
defineEmits<{ tick: [key: string, on: boolean] }>()
</script>

<template>
  <div role="group">
    <button
      v-for="item in items"
      :key="item.step"
      type="button"
      class="tick"
      role="checkbox"
      :aria-checked="ticked.includes(item.step)"
      :disabled="locked"
      @click="$emit('tick', item.step, !ticked.includes(item.step))"
    >
      <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
        <rect x="1.5" y="1.5" width="21" height="21" fill="none" stroke="currentColor" stroke-width="2" />
        <path
          v-if="ticked.includes(item.step)"
          d="M5 12.5 L10 18 L19.5 6"
          fill="none"
          stroke="var(--blue)"
          stroke-width="3.4"
        />
      </svg>
      <span>{{ item.text }}</span>
    </button>
  </div>
</template>

<style scoped>
.tick {
  display: flex;
  align-items: center;
  gap: 0.9rem;
  width: 100%;
  min-height: 54px;
  padding: 0.4rem 0.6rem;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  color: inherit;
  text-align: left;
  font-size: 1.08rem;
}
.tick[aria-checked='true'] {
  background: var(--blue-wash);
}
svg {
  flex: none;
}
</style>
