<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '../../api/client'
import AddEngineDialog from '../../shared/engines/AddEngineDialog.vue'
import { hours } from '../../shared/figures/hours'
import { plural } from '../../shared/words/counts'

/** Engines the file names and the yard does not have: each is made here, with what the file knows of it. */
defineProps<{ engines: Schemas['MissingEngine'][]; types: number }>()
defineEmits<{ made: [] }>()
const adding = ref(false)
const picked = ref<Schemas['MissingEngine']>()
function make(engine: Schemas['MissingEngine']) {
  picked.value = engine
  adding.value = true
}
</script>

<template>
  <section class="plate p-3 mb-3">
    <h2>
      {{ engines.length === 1 ? 'One engine is not in the yard' : `${engines.length} engines are not in the yard` }}
    </h2>
    <p v-if="types === 0" class="mt-1 mb-2">
      The book is empty. <RouterLink to="/book-new">Add the engine type</RouterLink> first; then choose this file again.
    </p>
    <ul class="plain-list mb-0">
      <li v-for="engine in engines" :key="engine.engine" class="d-flex gap-3 align-items-center flex-wrap">
        <strong>{{ engine.engine }}</strong>
        <span class="soft">{{ plural(engine.rows, 'row') }}, up to {{ hours(engine.hours) }} h</span>
        <button v-if="types > 0" type="button" class="btn btn-plain" @click="make(engine)">
          Make {{ engine.engine }}
        </button>
      </li>
    </ul>
    <AddEngineDialog v-model="adding" :called="picked?.engine" :meter-shows="picked?.hours" @added="$emit('made')" />
  </section>
</template>
