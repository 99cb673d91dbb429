<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { queries } from '../../../api/queries'
import type { Entry } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { allTrays, choseTray, type Tray } from '../trays'
import type { Sheet } from './useVisit'

/** Somebody else measures now, who works with blades of their own: they come with the name, and the set used before is one tap away. */
const props = defineProps<{ sheet: Sheet; person: string }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const preferences = usePreferences()
const instruments = useQuery(() => queries.instruments())
const trays = computed(() => allTrays(instruments.data.value))
/** What was measured with until the name was changed. */
const before = ref<Tray | null>(null)
watch(
  () => props.person,
  (person, last) => {
    // Whoever is named first works with what the visit was opened with.
    if (!person || !last || person === last) return
    const now = trays.value.find((t) => t.name === props.sheet.traySet) ?? null
    const theirs = trays.value.find((t) => t.name === preferences.trayOf[person])
    if (!theirs || theirs.name === props.sheet.traySet) return void (before.value = null)
    before.value = now
    emit('say', choseTray(theirs))
  },
)
function back() {
  emit('say', choseTray(before.value!))
  preferences.trayOf = { ...preferences.trayOf, [props.person]: before.value!.name }
  before.value = null
}
</script>

<template>
  <p v-if="before && before.name !== sheet.traySet" class="own" role="status">
    Measured with {{ sheet.traySet }} from here on.
    <BButton class="btn-plain" @click="back">Stay with {{ before.name }}</BButton>
  </p>
</template>

<style scoped>
.own {
  margin: 0.6rem auto 0;
  padding: 0 14px;
  max-width: 1500px;
}
</style>
