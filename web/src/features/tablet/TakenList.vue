<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { goneSince } from '../../api/reach'
import { leaveBehind, taken } from '../../offline/taken'
import { moment } from '../../shared/figures/days'
import { bytes } from '../../shared/figures/bytes'
import { useTaking } from '../../offline/useTaking'

/** The engines that were taken along, how old each is and how large. */
const { take, busy, failure } = useTaking()
const all = computed(() => taken.value.reduce((sum, t) => sum + t.bytes, 0))
</script>

<template>
  <section class="plate p-3">
    <h2>Taken along</h2>
    <p v-if="!taken.length" class="mt-2 mb-0">No engine yet. Choose what to download here, or on an engine’s page.</p>
    <template v-else>
      <table class="ledger mt-2">
        <thead class="caps">
          <tr>
            <th>Engine</th>
            <th>As of</th>
            <th class="text-end">Size</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in taken" :key="t.engineId">
            <td>
              <RouterLink :to="{ name: 'engine', params: { id: t.engineId } }">{{ t.name }}</RouterLink>
              <span class="soft small d-block">{{ t.site }}</span>
            </td>
            <td class="figure">{{ moment(new Date(t.at).toISOString()) }}</td>
            <td class="figure text-end">{{ bytes(t.bytes) }}</td>
            <td class="text-end">
              <button
                type="button"
                class="text-link"
                :aria-label="`Leave behind ${t.name}`"
                @click="leaveBehind(t.engineId)"
              >
                Leave behind
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft small mt-2 mb-2">
        {{ bytes(all) }} in all. They come up to date by themselves while the server answers.
      </p>
      <BButton class="btn-plain" :disabled="!!busy || goneSince !== null" @click="take(taken)">{{
        busy || 'Bring all up to date'
      }}</BButton>
      <p v-if="failure" class="complaint mt-2 mb-0" role="alert">{{ failure }}</p>
    </template>
  </section>
</template>
