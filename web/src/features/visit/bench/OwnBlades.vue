<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import type { Entry } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { allTrays, choseTray } from '../trays'
import type { Sheet } from './useVisit'

/** Somebody else measures now, who is known to work with blades of their own: theirs in one tap, never silently. */
const props = defineProps<{ sheet: Sheet; person: string }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const preferences = usePreferences()
const instruments = useQuery(() => queries.instruments())
const theirs = computed(() => {
  const name = preferences.trayOf[props.person]
  if (!name || name === props.sheet.traySet) return undefined
  return allTrays(instruments.data.value).find((t) => t.name === name)
})
function use() {
  emit('say', choseTray(theirs.value!))
}
</script>

<template>
  <p v-if="theirs" class="own" role="status">
    Measured so far with {{ sheet.traySet ?? 'blades that were not named' }}; you work with {{ theirs.name }}.
    <BButton class="btn-plain" @click="use">Use {{ theirs.name }} from here on</BButton>
  </p>
</template>

<style scoped>
.own {
  margin: 0.6rem auto 0;
  padding: 0 14px;
  max-width: 1500px;
}
</style>
