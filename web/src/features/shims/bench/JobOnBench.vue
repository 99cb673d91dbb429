<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../../api/queries'
import Loaded from '../../../shared/loaded/Loaded.vue'
import JobLine from '../job/JobLine.vue'

/** These shims are decided already: how far that is. */
const props = defineProps<{ id: string }>()
const job = useQuery(() => queries.shimJob(props.id))
</script>

<template>
  <section class="plate plate-strong p-3" aria-label="Decided">
    <Loaded v-slot="{ data }" :query="job" what="shim job" part>
      <h2>Decided by {{ data.who }}</h2>
      <JobLine :state="data.state" class="my-1" />
      <RouterLink class="btn btn-act w-100 mt-1" :to="{ name: 'shim-job', params: { id } }"
        >Order, tray and second visit</RouterLink
      >
      <p class="small soft mb-0 mt-2">What is tried here beside it changes nothing of it.</p>
    </Loaded>
  </section>
</template>
