<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { answer, api, type Schemas } from '../../api/client'

/** How the valves of such an engine often stand, to be picked instead of typed. */
const layout = defineModel<string>({ required: true })
const props = defineProps<{ order: string; banks: string; cycle: Schemas['EngineCycle'] }>()
const asked = refDebounced(
  computed(() => ({
    firingOrder: props.order.trim(),
    banks: props.banks.trim() || undefined,
    twoStroke: props.cycle === 'twoStroke' || undefined,
  })),
  250,
)
const usual = useQuery(() => ({
  queryKey: ['usual-layouts', asked.value],
  queryFn: () => answer(api.GET('/api/engine-types/usual-layouts', { params: { query: asked.value } })),
  enabled: !!asked.value.firingOrder,
  retry: false,
}))
const picks = computed(() => (usual.isError.value ? [] : (usual.data.value ?? [])))
</script>

<template>
  <div v-if="picks.length" class="picks" role="group" aria-label="Often so; look under the cover">
    <span class="soft small">Often:</span>
    <button
      v-for="p in picks"
      :key="p"
      type="button"
      class="pick figure"
      :aria-pressed="layout === p"
      @click="layout = p"
    >
      {{ p }}
    </button>
  </div>
</template>

<style scoped>
.picks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
  margin-top: 0.4rem;
}
.pick {
  min-height: 44px;
  padding: 0 0.7rem;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--plate);
  color: var(--blue);
  font-size: 0.9rem;
}
.pick[aria-pressed='true'] {
  border: 2px solid var(--blue);
  background: var(--blue-wash);
}
</style>
