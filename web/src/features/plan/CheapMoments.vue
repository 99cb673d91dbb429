<script setup lang="ts">
import { sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { useWrite, writes } from '../../api/writes'
import { day } from '../../shared/figures/days'
import { toast } from '../../shared/toasts/toasts'

/** Other work opens an engine shortly before its overhead: once open is enough. */
defineProps<{ moments: Schemas['CheapMomentResponse'][] }>()
const add = useWrite(writes.addJob)
const change = useWrite(writes.changeJob)
async function take(m: Schemas['CheapMomentResponse']) {
  try {
    if (m.overheadJobId) await change.mutateAsync({ jobId: m.overheadJobId, dueDate: m.date, earliestDate: m.date })
    else
      await add.mutateAsync({
        id: newId(),
        engineId: m.engineId,
        title: 'Overhead',
        dueDate: m.date,
        earliestDate: m.date,
      })
    toast(`The overhead of ${m.engine} is due with it now; plan again.`)
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <template v-if="moments.length">
    <h3 class="sub mt-3">Open already</h3>
    <ul class="plain-list">
      <li v-for="m in moments" :key="m.openingJobId" class="ends ruled">
        <span>
          <strong>{{ m.engine }}</strong>: {{ m.opening.charAt(0).toLowerCase() + m.opening.slice(1) }} on
          {{ day(m.date) }}; its overhead, due {{ day(m.dueDate) }}, could be done then.
        </span>
        <button type="button" class="btn btn-plain text-nowrap" @click="take(m)">Do it in the same visit</button>
      </li>
    </ul>
  </template>
</template>
