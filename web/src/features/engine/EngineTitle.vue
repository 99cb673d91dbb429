<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { hours } from '../../shared/figures/hours'
import { meterText, unreadText } from '../../shared/words/due'
import { machineNames } from '../../shared/words/machines'

/** Which engine it is: where, of which type, what its meter shows and how much it runs. */
defineProps<{ engine: Schemas['EngineResponse'] }>()
defineEmits<{ machine: [] }>()
</script>

<template>
  <div>
    <h1>{{ engine.row.name }}</h1>
    <p class="soft small mb-0 mt-1">
      <button type="button" class="text-link" @click="$emit('machine')">
        {{ machineNames[engine.row.machine] }}</button>, {{ engine.row.site }} · {{ engine.type.name }}, type
      <RouterLink :to="{ name: 'book', params: { id: engine.type.id } }">{{ engine.type.code }}</RouterLink>
      <template v-if="engine.row.serialNumber"> · serial {{ engine.row.serialNumber }}</template>
      · {{ meterText(engine.row)
      }}<template v-if="Math.abs(engine.totalHours - engine.row.shownHours) > 0.5"
        >, {{ hours(engine.totalHours) }} h in all</template
      >
      · {{ Math.round(engine.row.hoursPerWeek) }} h a week
    </p>
    <p v-if="unreadText(engine.row)" class="small mb-0 mt-1">{{ unreadText(engine.row) }}</p>
  </div>
</template>
