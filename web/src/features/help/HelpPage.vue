<script setup lang="ts">
import { computed, ref } from 'vue'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { glossary } from '../../shared/words/glossary'
import { pages, standsAlone } from '../../shared/words/pages'

const find = ref('')
const has = (text: string) => text.toLowerCase().includes(find.value.trim().toLowerCase())
const words = computed(() => glossary.filter((g) => has(`${g.term} ${g.means}`)))
const places = computed(() => pages.filter((p) => has(`${p.title} ${p.lines.join(' ')}`)))
</script>

<template>
  <main class="page">
    <div class="page-head">
      <h1>Help</h1>
      <BFormInput v-model="find" type="search" class="find" aria-label="Search in help" placeholder="Search in help" />
    </div>
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
        <p class="mb-1"><strong>?</strong> says what the page you are on is for, and its keys.</p>
        <p class="mb-1"><strong>/</strong> finds an engine, a place, a type, a person or a page.</p>
        <h2 class="mt-3">Before you bar or touch</h2>
        <ul class="mt-2 mb-0">
          <li>The maker’s manual, local codes and licensed practice come first; this program never overrules them.</li>
          <li>Locked out, battery off, fuel off, decompressed: nobody starts it while hands are in it.</li>
          <li>Hands clear before anyone bars; one person calls.</li>
          <li>A tight valve is worse than a loose one. In doubt, loose, and measure again.</li>
        </ul>
      </section>
      <div>
        <section class="plate p-3">
          <h2>What each page is for</h2>
          <details v-for="p in places" :key="p.title" :open="!!find.trim()" class="page-of">
            <summary>
              <strong>{{ p.title }}</strong>
            </summary>
            <p v-for="line in p.lines" :key="line" class="mb-1">{{ line }}</p>
            <RouterLink v-if="standsAlone(p)" :to="{ name: p.routes[0]! }">Go there</RouterLink>
          </details>
          <p v-if="places.length === 0" class="mb-0">No page says that.</p>
        </section>
        <section class="plate p-3 mt-2">
          <h2>Words</h2>
          <dl class="facts mt-2">
            <template v-for="g in words" :key="g.term">
              <dt>{{ g.term }}</dt>
              <dd>{{ g.means }}</dd>
            </template>
          </dl>
          <p v-if="words.length === 0" class="mb-0">No such word here.</p>
        </section>
      </div>
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
.find {
  max-width: 20rem;
}
.page-of {
  border-top: 1px solid var(--hairline);
  padding-bottom: 0.2rem;
}
.page-of summary {
  min-height: 44px;
  padding-top: 0.6rem;
}
@media (max-width: 800px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
