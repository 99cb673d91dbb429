<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import { day, today } from '../../shared/figures/days'
import { toast } from '../../shared/toasts/toasts'
import { plural } from '../../shared/words/counts'
import { instrumentNames } from '../../shared/words/instruments'
import InstrumentForm from './InstrumentForm.vue'
import WithdrawForm from './WithdrawForm.vue'

/** What is measured with, and when each was found right. One withdrawn makes the visits since then suspect until somebody says whether they hold. */
const instruments = useQuery(() => queries.instruments())
const change = useWrite(writes.changeInstrument)
const adding = ref(false)
const withdrawing = ref<string | null>(null)

const state = (i: Schemas['InstrumentResponse']) =>
  i.withdrawn
    ? `withdrawn ${day(i.withdrawn)}: ${i.why}`
    : i.lastCheck
      ? `found right ${day(i.lastCheck)}${i.checkDue ? ', its check is overdue' : ''}`
      : 'never checked'
async function put(i: Schemas['InstrumentResponse'], body: Partial<Schemas['InstrumentRequest']>, said: string) {
  try {
    await change.mutateAsync({ instrumentId: i.id, ...body })
    toast(said)
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <section class="plate p-3" aria-label="Instruments">
    <h2>Blades, micrometers, dials</h2>
    <p class="small soft">
      Each with the day it was last found right. Withdraw one that is not, and the visits measured with it are asked
      about.
    </p>
    <ul class="plain-list">
      <li v-for="i in instruments.data.value ?? []" :key="i.id">
        <div class="ends">
          <span :class="{ soft: i.withdrawn }">
            {{ i.name }} <span class="small soft">{{ instrumentNames[i.kind] }}</span>
            <span class="small d-block" :class="i.checkDue ? '' : 'soft'">{{ state(i) }}</span>
          </span>
          <span class="d-flex gap-1 flex-wrap justify-content-end">
            <template v-if="!i.withdrawn">
              <button
                type="button"
                class="btn btn-plain"
                :aria-label="`Found right today: ${i.name}`"
                @click="put(i, { checked: today() }, `${i.name}: found right today.`)"
              >
                Found right today
              </button>
              <button
                type="button"
                class="btn btn-plain"
                :aria-label="`Withdraw: ${i.name}`"
                @click="withdrawing = withdrawing === i.id ? null : i.id"
              >
                Withdraw
              </button>
            </template>
            <button
              v-else
              type="button"
              class="btn btn-plain"
              :aria-label="`Back in use: ${i.name}`"
              @click="put(i, { withdraw: false }, `${i.name} is in use again.`)"
            >
              Back in use
            </button>
          </span>
        </div>
        <WithdrawForm v-if="withdrawing === i.id" :instrument="i" @done="withdrawing = null" />
        <p v-if="i.suspect.length" class="small mb-1">
          {{ plural(i.suspect.length, 'visit') }} to look at:
          <template v-for="(v, n) in i.suspect.slice(0, 8)" :key="v.visitId"
            ><template v-if="n">, </template
            ><RouterLink :to="{ name: 'engine-drift', params: { id: v.engineId } }"
              >{{ v.engine }}, {{ day(v.date) }}</RouterLink
            ></template
          ><template v-if="i.suspect.length > 8"> and {{ i.suspect.length - 8 }} more</template>.
        </p>
      </li>
    </ul>
    <InstrumentForm v-if="adding" @added="adding = false" />
    <button v-else type="button" class="btn btn-plain mt-2" @click="adding = true">Add one…</button>
  </section>
</template>

<style scoped>
li {
  padding: 0.3rem 0;
  border-top: 1px solid var(--hairline);
}
</style>
