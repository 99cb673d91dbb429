<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'

/** The way from an empty yard to the first signed overhead; each step knows whether it is done. */
defineEmits<{ add: [] }>()
const types = useQuery(() => queries.types())
const hasType = computed(() => (types.data.value?.length ?? 0) > 0)
</script>

<template>
  <section class="plate plate-strong p-4 steps">
    <h2>Three steps to the first figure</h2>
    <ol>
      <li :class="{ done: hasType }">
        <span class="mark" aria-hidden="true">{{ hasType ? '✓' : '1' }}</span>
        <div>
          <strong>The engine’s type, into the book</strong>
          <span class="soft"
            >{{ hasType ? 'Done. ' : '' }}Firing order, valves along the head, clearances and where they come from: one
            page of its manual.</span
          >
        </div>
        <BButton :class="hasType ? 'btn-plain' : 'btn-act'" :to="{ name: 'new-type' }">{{
          hasType ? 'Another type' : 'Add its type'
        }}</BButton>
      </li>
      <li>
        <span class="mark" aria-hidden="true">2</span>
        <div>
          <strong>The engine, with what its hour meter shows</strong>
          <span class="soft">Its name in the yard, where it stands.</span>
        </div>
        <BButton :class="hasType ? 'btn-act' : 'btn-plain'" :disabled="!hasType" @click="$emit('add')"
          >Add the engine</BButton
        >
      </li>
      <li>
        <span class="mark" aria-hidden="true">3</span>
        <div>
          <strong>Open it and measure</strong>
          <span class="soft">Or import an old <RouterLink to="/logbook">logbook</RouterLink>.</span>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.steps {
  max-width: 860px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0.8rem 0 0;
}
li {
  display: flex;
  gap: 1rem;
  align-items: center;
  flex-wrap: wrap;
  padding: 0.8rem 0;
  border-top: 1px solid var(--hairline);
}
li > div {
  flex: 1 1 300px;
}
li div span {
  display: block;
}
.mark {
  flex: none;
  width: 34px;
  height: 34px;
  border: 1.5px solid var(--ink);
  border-radius: 50%;
  display: flex;
  align-items: center;
  justify-content: center;
  font-weight: 700;
}
.done .mark {
  background: var(--blue);
  border-color: var(--blue);
  color: var(--on-blue);
}
</style>
