<script setup lang="ts">
import { computed, ref } from 'vue'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { glossary } from '../../shared/words/glossary'

const find = ref('')
const found = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return glossary.filter((g) => !wanted || `${g.term} ${g.means}`.toLowerCase().includes(wanted))
})
</script>

<template>
  <main class="page">
    <div class="page-head"><h1>Help</h1></div>
    <div class="board">
      <section class="plate p-3">
        <h2>The way of the work</h2>
        <ol class="mt-2">
          <li>The engine’s type goes into the <RouterLink to="/book">book</RouterLink>, from its manual.</li>
          <li>The engine goes into the <RouterLink to="/">yard</RouterLink>, with what its meter shows.</li>
          <li>Open it: make safe, cold, find the stop, measure, set what is out, next stop, close up, sign.</li>
          <li>From the second visit on the yard says what drifts, and when it leaves its window.</li>
          <li>Old records come in by the <RouterLink to="/logbook">logbook</RouterLink>.</li>
          <li>A single sum without a record is in the <RouterLink to="/pocket">pocket</RouterLink>.</li>
        </ol>
        <p class="mb-1"><strong>?</strong> shows the keys of the screen you are on.</p>
        <h2 class="mt-3">Before you bar or touch</h2>
        <ul class="mt-2 mb-0">
          <li>The maker’s manual, local codes and licensed practice come first; this program never overrules them.</li>
          <li>Locked out, battery off, fuel off, decompressed: nobody starts it while hands are in it.</li>
          <li>Hands clear before anyone bars; one person calls.</li>
          <li>A tight valve is worse than a loose one. In doubt, loose, and measure again.</li>
        </ul>
      </section>
      <section class="plate p-3">
        <div class="d-flex justify-content-between gap-3 flex-wrap align-items-center">
          <h2>Words</h2>
          <BFormInput v-model="find" type="search" class="w-auto" aria-label="Find a word" placeholder="Find a word" />
        </div>
        <dl class="facts mt-3">
          <template v-for="g in found" :key="g.term">
            <dt>{{ g.term }}</dt>
            <dd>{{ g.means }}</dd>
          </template>
        </dl>
        <p v-if="found.length === 0" class="mb-0">No such word here.</p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
  gap: 14px;
  align-items: start;
}
@media (max-width: 800px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
