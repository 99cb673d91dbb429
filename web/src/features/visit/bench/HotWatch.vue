<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import type { Sheet } from './useVisit'

/** A hot engine cools while one works: how long it stands, and warm again past the type's limit. */
const props = defineProps<{ sheet: Sheet }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const now = useNow({ interval: 10_000 })
const minutes = computed(() =>
  props.sheet.stoppedAt
    ? Math.max(0, Math.floor((now.value.getTime() - Date.parse(props.sheet.stoppedAt)) / 60_000))
    : null,
)
const past = computed(
  () => minutes.value != null && props.sheet.hotMinutes != null && minutes.value >= props.sheet.hotMinutes,
)
function warmedAgain() {
  emit('say', { kind: 'conditionStated', condition: 'hot', hoursStanding: 0 })
}
</script>

<template>
  <div v-if="minutes != null" class="hot" :class="{ past }" role="status">
    <span
      >Stopped {{ minutes }} min ago<template v-if="sheet.hotMinutes != null"> of {{ sheet.hotMinutes }}</template
      >.<strong v-if="past"> It has cooled: run it warm again before the next figure.</strong></span
    >
    <BButton v-if="past" class="btn-plain" @click="warmedAgain">Run warm, stopped now</BButton>
  </div>
</template>

<style scoped>
.hot {
  display: flex;
  align-items: center;
  gap: 0.8rem;
  flex-wrap: wrap;
  padding: 0.3rem 0;
  min-height: 44px;
}
.past {
  border: 1.5px solid var(--ink);
  padding: 0.3rem 0.7rem;
}
</style>
