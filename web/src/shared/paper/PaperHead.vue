<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import { moment } from '../figures/days'

/** Over everything printed: whose it is and when it was printed, so that a sheet that lies about can be told from another. */
defineProps<{ what: string }>()
const fleet = useQuery(() => queries.fleet())
const printed = moment(new Date().toISOString())
</script>

<template>
  <div class="paper-head">
    <strong>{{ fleet.data.value?.name }}</strong>
    <span>{{ what }}</span>
    <span>printed {{ printed }}</span>
  </div>
</template>

<style scoped>
.paper-head {
  display: none;
}
@media print {
  .paper-head {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    border-bottom: 1.5px solid currentcolor;
    padding-bottom: 1mm;
    margin-bottom: 4mm;
  }
}
</style>
