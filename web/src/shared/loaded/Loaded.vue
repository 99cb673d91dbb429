<script setup lang="ts" generic="T">
import type { UseQueryReturnType } from '@tanstack/vue-query'
import { computed } from 'vue'
import { Refusal, sentence } from '../../api/client'

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
}>()
const data = computed(() => props.query.data.value)
const error = computed(() => props.query.error.value)
const isUnknown = computed(() => error.value instanceof Refusal && [400, 404].includes(error.value.status))
</script>

<template>
  <slot v-if="data !== undefined && !isUnknown" :data="data as T" />
  <component :is="part ? 'div' : 'main'" v-else :class="part ? '' : 'page'">
    <template v-if="isUnknown">
      <component :is="part ? 'h2' : 'h1'">There is no such {{ what }}.</component>
      <p class="mt-2">{{ error ? sentence(error) : '' }}</p>
      <RouterLink v-if="back" class="btn btn-act" :to="back">{{ backText ?? 'Back' }}</RouterLink>
    </template>
    <p v-else-if="error instanceof Refusal" class="complaint" role="alert">{{ sentence(error) }}</p>
    <p v-else-if="error" role="status">The server cannot be reached. This page comes as soon as it is back.</p>
    <p v-else role="status" class="soft">Looking…</p>
  </component>
</template>
