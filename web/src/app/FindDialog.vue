<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { queries } from '../api/queries'
import { foundIn, placesToGo } from './findPlaces'

/** From anywhere to any engine, place, type, person or page. */
const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const yard = useQuery(() => ({ ...queries.yard(), enabled: shown.value }))
const types = useQuery(() => ({ ...queries.types(), enabled: shown.value }))
const people = useQuery(() => ({ ...queries.people(), enabled: shown.value }))
const words = defineModel<string>('words', { required: true })
const at = ref(0)
const box = useTemplateRef<{ focus: () => void }>('box')
const all = computed(() => placesToGo(yard.data.value?.engines ?? [], types.data.value ?? [], people.data.value ?? []))
const found = computed(() => foundIn(all.value, words.value))
watch(found, () => (at.value = 0))

function go(index: number) {
  const place = found.value[index]
  if (!place) return
  shown.value = false
  void router.push(place.to)
}
function move(by: number) {
  at.value = Math.min(found.value.length - 1, Math.max(0, at.value + by))
  void nextTick(() => document.getElementById(`found-${at.value}`)?.scrollIntoView({ block: 'nearest' }))
}
</script>

<template>
  <BModal v-model="shown" title="Find" title-tag="h2" no-footer @shown="box?.focus()">
    <BFormInput
      ref="box"
      v-model="words"
      type="search"
      role="combobox"
      aria-label="Find an engine, a place, a type, a person or a page"
      aria-controls="found"
      aria-expanded="true"
      :aria-activedescendant="found.length ? `found-${at}` : undefined"
      placeholder="An engine, a place, a type, a person or a page"
      autocomplete="off"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="go(at)"
    />
    <ul id="found" role="listbox" aria-label="Found">
      <li
        v-for="(place, i) in found"
        :id="`found-${i}`"
        :key="`${place.kind} ${place.name} ${place.also}`"
        role="option"
        :aria-selected="i === at"
        :class="{ here: i === at }"
        @click="go(i)"
        @pointerenter="at = i"
      >
        <span>{{ place.name }}</span>
        <span class="soft small">{{ place.also }}</span>
        <span class="caps soft">{{ place.kind }}</span>
      </li>
    </ul>
    <p v-if="words.trim() && !found.length" class="mb-0">
      Nothing here is called that. Figures and findings are found in the yard’s own list.
    </p>
  </BModal>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0.6rem 0 0;
  max-height: 55vh;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 4.5rem;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
  padding: 0 0.6rem;
  cursor: pointer;
}
li.here {
  background: var(--blue-wash);
  box-shadow: inset 4px 0 0 var(--blue);
}
</style>
