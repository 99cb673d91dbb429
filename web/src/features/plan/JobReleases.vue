<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import { day } from '../../shared/figures/days'
import Loaded from '../../shared/loaded/Loaded.vue'

/** What would have to give way for a job without a day to fit, smallest first. */
const props = defineProps<{ jobId: string; days: number; people: { id: string; name: string }[] }>()
const releases = useQuery(() => queries.releases(props.jobId, props.days))
</script>

<template>
  <Loaded v-slot="{ data }" :query="releases" what="answer">
    <p v-if="!data.length" class="small mb-1">No single thing given way would let it in.</p>
    <template v-else>
      <p class="small mb-1">It would fit, the others left where they are, if</p>
      <ul class="small mb-1">
        <li v-for="r in data" :key="r.what">
          {{ r.what.replace(/\.$/, '') }}<template v-if="!r.what.includes(day(r.date))">, {{ day(r.date) }}</template
          >; {{ people.find((p) => p.id === r.personId)?.name }} does it.
        </li>
      </ul>
    </template>
  </Loaded>
</template>
