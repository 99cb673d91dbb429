<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../../api/queries'
import { useAddressed } from '../../../shared/address/useAddressed'
import { day } from '../../../shared/figures/days'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { accessNames, size } from '../../../shared/words/shims'

/** What a site should hold for its coming year, beside what its drawers hold. */
const props = defineProps<{ usual?: string }>()
const sites = useQuery(() => queries.sites())
const chosen = useAddressed('site')
const site = computed(() => {
  const all = sites.data.value ?? []
  return all.find((s) => s.name === chosen.value) ?? all.find((s) => s.name === props.usual) ?? all[0]
})
const hold = useQuery(() => ({ ...queries.shimsToHold(site.value?.id ?? ''), enabled: !!site.value }))
</script>

<template>
  <section v-if="site" class="plate p-3" aria-label="To hold">
    <div class="ends flex-wrap">
      <h2>For the coming year</h2>
      <select
        class="form-select w-auto"
        aria-label="Site"
        :value="site.name"
        @change="chosen = ($event.target as HTMLSelectElement).value"
      >
        <option v-for="s in sites.data.value ?? []" :key="s.id" :value="s.name">{{ s.name }}</option>
      </select>
    </div>
    <Loaded v-slot="{ data }" :query="hold" what="list of what to hold" part>
      <p class="small soft mt-1 mb-1">
        <template v-if="data.engines.length"
          >{{ data.engines.join(', ') }} fall due until {{ day(data.until) }}. With these, nine times in ten nothing is
          short.</template
        ><template v-else>No shim engine of {{ data.site }} falls due until {{ day(data.until) }}.</template>
        <template v-if="data.notKnown.length"> Not foretold: {{ data.notKnown.join(', ') }}.</template>
      </p>
      <table v-if="data.hold.length" class="ledger small">
        <thead>
          <tr>
            <th scope="col">Size</th>
            <th scope="col">Fits</th>
            <th scope="col">Hold</th>
            <th scope="col">Lies here</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="h in data.hold" :key="`${h.access}${h.diameterMm}${h.sizeMm}`">
            <th scope="row" class="figure">{{ size(h.sizeMm) }}</th>
            <td>{{ accessNames[h.access] }}{{ h.diameterMm != null ? `, ${h.diameterMm} mm` : '' }}</td>
            <td class="figure">{{ h.hold }}</td>
            <td class="figure" :class="{ 'is-tight': h.have < h.hold }">
              {{ h.have }}{{ h.have < h.hold ? `, ${h.hold - h.have} short` : '' }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="data.engines.length" class="small mb-0">Nothing is likely enough to be held for.</p>
    </Loaded>
  </section>
</template>
