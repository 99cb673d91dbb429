<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import type { Sheet } from './useVisit'

/** A bank that nobody opened: said once for all its points, so that the record names the cylinders that were not looked at. */
const props = defineProps<{ sheet: Sheet }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const untouched = computed(() => {
  const heads = [...new Set(props.sheet.points.map((p) => p.bank))]
  return heads
    .map((bank) => props.sheet.points.filter((p) => p.bank === bank))
    .filter((points) => points.every((p) => !p.found && !p.left && !p.start && !p.outcome))
    .map((points) => ({ points, cylinders: [...new Set(points.map((p) => p.cylinder))] }))
    .filter((head) => head.points.length < props.sheet.points.length)
})
function notOpened(points: { label: string }[]) {
  emit(
    'say',
    ...points.map((p): Entry => ({ kind: 'outcome', point: p.label, outcome: 'notReached', why: 'bank not opened' })),
  )
}
</script>

<template>
  <p v-for="head in untouched" :key="head.cylinders.join()" class="mb-1">
    <BButton class="btn-plain" @click="notOpened(head.points)"
      >The bank of {{ head.cylinders.join(', ') }} was not opened</BButton
    >
  </p>
  <p v-if="sheet.notLookedAt.length && sheet.points.some((p) => p.outcome === 'notReached')" class="mb-1">
    Not looked at: cylinder {{ sheet.notLookedAt.join(', ') }}.
  </p>
</template>
