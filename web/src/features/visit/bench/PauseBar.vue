<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref, watch } from 'vue'
import type { Entry } from '../../../offline/entries'
import { clock } from '../../../shared/figures/days'
import type { Sheet, Visit } from './useVisit'

/** Nothing was written down for a while: asked once whether that was a pause, so that lunch does not count as work. A pause that is on says where one was. */
const props = defineProps<{ view: Visit; sheet: Sheet }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const now = useNow({ interval: 5_000 })
/** What is asked stays asked when somebody goes on without an answer; it ended then. */
const asked = ref<{ since: string; until?: string } | null>(null)
const answered = ref('')
watch(
  [now, () => props.sheet.stillness],
  () => {
    const still = props.sheet.stillness
    if (!still || still.isPaused) return void (asked.value = null)
    if (asked.value) {
      if (!asked.value.until && still.since !== asked.value.since) asked.value.until = still.since
      return
    }
    if (still.since !== answered.value && now.value.getTime() >= Date.parse(still.askAt))
      asked.value = { since: still.since }
  },
  { immediate: true },
)
function answer(pause: boolean) {
  const { since, until } = asked.value!
  const end = until ? Date.parse(until) - 1 : Date.now()
  answered.value = since
  asked.value = null
  const resumed = { kind: 'resumed' as const, at: new Date(end).toISOString() }
  emit('say', ...(pause ? [{ kind: 'paused' as const, at: since }, resumed] : [resumed]))
}
</script>

<template>
  <div v-if="sheet.stillness?.isPaused" class="pause" role="status">
    <span
      >Paused since {{ clock(sheet.stillness.since)
      }}<template v-if="view.next?.point">, before {{ view.next.point }}</template
      >.</span
    >
    <BButton class="btn-plain" @click="emit('say', { kind: 'resumed' })">Go on</BButton>
  </div>
  <div v-else-if="asked" class="pause" role="status">
    <span>Away since {{ clock(asked.since) }}?</span>
    <BButton class="btn-plain" @click="answer(true)">Yes, a pause</BButton>
    <BButton class="btn-plain" @click="answer(false)">No, at work</BButton>
  </div>
</template>

<style scoped>
.pause {
  display: flex;
  align-items: center;
  gap: 0.8rem;
  flex-wrap: wrap;
  margin: 0.6rem auto 0;
  padding: 0 14px;
  max-width: 1500px;
  min-height: 44px;
}
</style>
