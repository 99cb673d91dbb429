<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import type { Schemas } from '../../../api/client'
import { queries } from '../../../api/queries'
import { moment } from '../../../shared/figures/days'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { movementNames, size } from '../../../shared/words/shims'

/** What was done at a drawer, the newest first; a line is never changed, only followed by another. */
const props = defineProps<{ drawer: Schemas['DrawerResponse'] }>()
const movements = useQuery(() => queries.shimMovements(props.drawer.id))
const change = (n: number) => (n > 0 ? `+${n}` : String(n).replace('-', '−'))
</script>

<template>
  <Loaded v-slot="{ data }" :query="movements" what="ledger" part>
    <p v-if="!data.length" class="small soft mb-0">Nothing was done here yet.</p>
    <table v-else class="table small mb-0">
      <thead>
        <tr>
          <th scope="col">When, who</th>
          <th scope="col">Size</th>
          <th scope="col" class="text-end">Change</th>
          <th scope="col">What</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(m, i) in data" :key="i">
          <td>
            {{ moment(m.at) }}<span class="d-block soft">{{ m.who }}</span>
          </td>
          <td class="figure">{{ size(m.sizeMm) }}</td>
          <td class="figure text-end">{{ change(m.change) }}</td>
          <td>
            {{ movementNames[m.kind] }}<template v-if="m.counted != null">: {{ m.counted }} found</template
            ><span v-if="m.why" class="d-block soft">{{ m.why }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </Loaded>
</template>
