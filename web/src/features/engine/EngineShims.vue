<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import Loaded from '../../shared/loaded/Loaded.vue'
import { chance } from '../../shared/words/odds'
import { size } from '../../shared/words/shims'

/** The shims to carry to an engine's next opening, with the odds of wanting each; or the job that waits for some. */
const props = defineProps<{ engineId: string }>()
const shims = useQuery(() => queries.engineShims(props.engineId))
</script>

<template>
  <section class="plate p-3" aria-label="Shims to carry">
    <Loaded v-slot="{ data }" :query="shims" what="record of its shims" part>
      <h2>{{ data.dueOn ? `Shims to carry on ${day(data.dueOn)}` : 'Shims to carry' }}</h2>
      <ul v-if="data.carry.length" class="plain-list small">
        <li v-for="c in data.carry" :key="c.sizeMm">
          <span class="figure">{{ size(c.sizeMm) }}</span> for {{ c.points.join(', ') }}: {{ chance(c.odds) }}
        </li>
      </ul>
      <p v-else class="small mb-1">
        {{ data.dueOn ? 'Nothing is likely to be wanted.' : 'Nothing calls for it within two years.' }}
      </p>
      <p v-if="data.decided.length" class="small soft mb-1">
        Decided already, laid out or on order: {{ data.decided.join(', ') }}.
      </p>
      <p v-if="data.notKnown.length" class="small soft mb-1">
        Not foretold, no shim or gap known: {{ data.notKnown.join(', ') }}.
      </p>
      <p v-if="data.jobId" class="small mb-0">
        <RouterLink :to="{ name: 'shim-job', params: { id: data.jobId } }">Its shim job</RouterLink>
      </p>
    </Loaded>
  </section>
</template>
