<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import { useTitle } from '../../../shared/address/useTitle'
import { day, moment } from '../../../shared/figures/days'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { policyNames } from '../../../shared/words/shims'
import EngineMeanwhile from './EngineMeanwhile.vue'
import GiveUpJob from './GiveUpJob.vue'
import JobLine from './JobLine.vue'
import ShimOrder from './ShimOrder.vue'
import ShimTray from './ShimTray.vue'

/** A shim job between its two visits: what is on order, whether the engine runs meanwhile, the tray, and the way back to the engine. */
const props = defineProps<{ id: string }>()
const job = useQuery(() => queries.shimJob(props.id))
const names = computed(() => [...new Set(job.data.value?.engines.map((e) => e.engine))].join(', '))
useTitle(() => job.data.value && `${names.value}: shims`)
const over = computed(() => ['closed', 'dropped'].includes(job.data.value?.state ?? ''))
const happened: Record<string, string> = {
  ordered: 'ordered',
  runs: 'it runs meanwhile',
  stands: 'it stands meanwhile',
  partsIn: 'parts in',
  dropped: 'given up',
}
const print = () => window.print()
</script>

<template>
  <Loaded v-slot="{ data }" :query="job" what="shim job" back="/shims" back-text="Shims">
    <main class="page">
      <PaperHead what="Tray card" />
      <div class="page-head">
        <div>
          <h1>{{ names }}: shims</h1>
          <p class="soft small mb-1 mt-1">
            Decided by {{ data.who }} on {{ moment(data.madeAt) }},
            {{ policyNames[data.policy as keyof typeof policyNames] ?? data.policy }} · {{ data.site }}
          </p>
          <JobLine :state="data.state" />
        </div>
        <div class="d-flex gap-2 flex-wrap no-print">
          <BButton class="btn-plain" @click="print">Print order and tray card</BButton>
          <BButton
            class="btn-plain"
            :to="{
              name: 'shim-bench',
              query: { visits: data.engines.map((e) => e.visitId).join(','), policy: data.policy },
            }"
            >The bench</BButton
          >
        </div>
      </div>
      <div class="board">
        <ShimTray :job="data" />
        <aside>
          <ShimOrder v-if="data.buy.length" :job="data" />
          <EngineMeanwhile v-for="e in data.engines" :key="e.visitId" :job="data" :engine="e" />
          <section class="plate p-3 no-print" aria-label="What happened">
            <h2>What happened</h2>
            <p class="small mb-1">{{ moment(data.madeAt) }}: decided, {{ data.who }}</p>
            <p v-for="(e, i) in data.events" :key="i" class="small mb-1">
              {{ moment(e.at) }}: {{ happened[e.kind] }}, {{ e.who }}<template v-if="e.why">: {{ e.why }}</template>
            </p>
            <p v-if="data.expectedOn && data.state === 'ordered'" class="small soft mb-0">
              Expected on {{ day(data.expectedOn) }}.
            </p>
            <GiveUpJob v-if="!over" :job="data" class="mt-2" />
          </section>
        </aside>
      </div>
    </main>
  </Loaded>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 350px;
  gap: 0.9rem;
  align-items: start;
}
aside {
  display: grid;
  gap: 0.7rem;
}
@media (max-width: 1050px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .board,
  aside {
    display: block;
  }
}
</style>
