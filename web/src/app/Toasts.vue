<script setup lang="ts">
import { BToast } from 'bootstrap-vue-next/components/BToast'
import { ref, watch } from 'vue'
import { sentence } from '../api/client'
import { dismiss, toast, toasts, type Toast } from '../shared/toasts/toasts'

const undoing = ref<number | null>(null)
/** What was just done, with its way back. It goes by itself after a while, but not from under the hand that is on its button. */
const seen = new Set<number>()
watch(
  toasts,
  (now) => {
    for (const t of now.filter((n) => !seen.has(n.id))) {
      seen.add(t.id)
      const leave = () =>
        document.activeElement?.closest(`[data-note="${t.id}"]`) || undoing.value === t.id
          ? setTimeout(leave, 2_000)
          : dismiss(t.id)
      setTimeout(leave, t.undo ? 12_000 : 6_000)
    }
  },
  { immediate: true },
)
async function undo(t: Toast) {
  undoing.value = t.id
  try {
    await t.undo?.()
    toast('Taken back.')
  } catch (caught) {
    toast(`Not taken back: ${sentence(caught)}`)
  } finally {
    undoing.value = null
    dismiss(t.id)
  }
}
</script>

<template>
  <div class="toasts" role="status" aria-live="polite">
    <BToast
      v-for="t in toasts"
      :key="t.id"
      :model-value="true"
      :data-note="t.id"
      no-close-button
      no-animation
      @update:model-value="(now) => !now && dismiss(t.id)"
      @hidden="dismiss(t.id)"
    >
      <div class="said">
        <span>{{ t.text }}</span>
        <button v-if="t.undo" type="button" class="btn btn-plain" :disabled="undoing === t.id" @click="undo(t)">
          Undo
        </button>
        <button type="button" class="btn btn-plain" aria-label="Put this note away" @click="dismiss(t.id)">×</button>
      </div>
    </BToast>
  </div>
</template>

<style scoped>
.toasts {
  position: fixed;
  right: 16px;
  bottom: 16px;
  z-index: 1080;
  display: grid;
  gap: 8px;
  max-width: min(440px, calc(100vw - 32px));
}
/* A note never stands in the way of the button under it; only its own buttons take a press. */
.toasts,
.toasts :deep(.toast) {
  pointer-events: none;
}
.toasts button {
  pointer-events: auto;
}
.said {
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
.said span {
  flex: 1;
}
/* At the bench the lower edge is the hand's. */
:global(body:has(.hand) .toasts) {
  bottom: auto;
  top: 110px;
}
@media print {
  .toasts {
    display: none;
  }
}
</style>
