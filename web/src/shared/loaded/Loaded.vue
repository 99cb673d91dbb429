<script setup lang="ts" generic="T">
import type { UseQueryReturnType } from '@tanstack/vue-query'
import { computed } from 'vue'
import { Refusal, sentence } from '../../api/client'
import { goneSince } from '../../api/reach'
import { moment } from '../figures/days'

/**
 * What was asked of the server, or why it is not there: looking, not reachable yet, no such thing. What was there once stays.
 *
 * A part of a page says the same without a heading and a main of its own.
 *
 *     <Loaded v-slot="{ data }" :query="engine" what="engine" back="/" back-text="The yard">
 */
const props = defineProps<{
  query: UseQueryReturnType<T, Error>
  what: string
  back?: string
  backText?: string
  part?: boolean
  /** Worked out on this device, and so from now. */
  live?: boolean
}>()
const data = computed(() => props.query.data.value)
const error = computed(() => props.query.error.value)
/** How old it is, where it is not from now. */
const asOf = computed(() => {
  const at = props.query.dataUpdatedAt.value
  return goneSince.value !== null && at > 0 && !props.part && !props.live ? moment(new Date(at).toISOString()) : ''
})
const isUnknown = computed(() => error.value instanceof Refusal && [400, 404].includes(error.value.status))
</script>

<template>
  <template v-if="data !== undefined && !isUnknown">
    <p v-if="asOf" class="as-of no-print" role="note">As known on this tablet {{ asOf }}.</p>
    <slot :data="data as T" />
  </template>
  <component :is="part ? 'div' : 'main'" v-else :class="part ? '' : 'page'">
    <template v-if="isUnknown">
      <component :is="part ? 'h2' : 'h1'">There is no such {{ what }}.</component>
      <p class="mt-2">{{ error ? sentence(error) : '' }}</p>
      <RouterLink v-if="back" class="btn btn-act" :to="back">{{ backText ?? 'Back' }}</RouterLink>
    </template>
    <p v-else-if="error instanceof Refusal" class="complaint" role="alert">{{ sentence(error) }}</p>
    <p v-else-if="error" role="status">
      The server cannot be reached, and this tablet has not kept this page. It comes as soon as the server is back.
    </p>
    <p v-else role="status" class="soft">Looking…</p>
  </component>
</template>

<style scoped>
.as-of {
  margin: 0;
  padding: 0.3rem 1.25rem;
  font-size: 0.85rem;
  color: var(--ink-soft);
}
</style>
