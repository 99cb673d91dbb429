<script setup lang="ts">
import { day } from '../../../shared/figures/days'
import { hours } from '../../../shared/figures/hours'
import { jobNames } from '../../../shared/words/jobs'
import { placeNames } from '../../../shared/words/places'
import type { Sheet, Visit } from '../bench/useVisit'

/** What a record is of: engine, day, hours, condition, book, who signed. */
defineProps<{ visit: Visit; sheet: Sheet; name: (id?: string | null) => string }>()
</script>

<template>
  <div>
    <h1>{{ visit.context?.engine.name }}, {{ day(visit.date) }}</h1>
    <p class="soft small mb-0 mt-1">
      {{ jobNames[visit.job] }}
      <template v-if="sheet.shownHours != null"
        >at {{ hours(sheet.shownHours) }} h on the meter<template
          v-if="sheet.totalHours != null && Math.abs(sheet.totalHours - sheet.shownHours) > 0.5"
          >, {{ hours(sheet.totalHours) }} h in all</template
        ></template
      >
      <template v-if="visit.place !== 'inMachine'">, {{ placeNames[visit.place].toLowerCase() }}</template>
      · {{ sheet.condition
      }}<template v-if="sheet.engineTemperatureC != null">, {{ sheet.engineTemperatureC }} °C</template
      ><template v-if="sheet.specRevision"> · judged by rev. {{ sheet.specRevision }}, {{ sheet.specSource }}</template>
      <template v-if="sheet.traySet"> · blades {{ sheet.traySet }}</template> ·
      <template v-if="visit.signed">signed by {{ name(visit.signed.by) }}, {{ day(visit.signed.at) }}</template
      ><template v-for="c in visit.countersignatures" :key="c.at"
        >, countersigned by {{ name(c.by) }}, {{ day(c.at) }}</template
      ><template v-if="visit.signed" /><template v-else-if="visit.state === 'abandoned'">given up, no record</template
      ><template v-else>not signed yet</template>
    </p>
    <p class="soft small mb-0 mt-1">
      {{ visit.context?.type.code }}, {{ visit.context?.engine.machineName
      }}<template v-if="visit.context?.engine.registration"> ({{ visit.context.engine.registration }})</template
      ><template v-if="visit.context?.engine.serialNumber"> · serial {{ visit.context.engine.serialNumber }}</template
      ><template v-if="visit.context?.engine.rating"> · {{ visit.context.engine.rating }}</template>
    </p>
    <p v-if="sheet.result" class="result mb-0 mt-2">{{ sheet.result }}</p>
    <p v-if="visit.signed?.remark" class="mb-0 mt-1">{{ visit.signed.remark }}</p>
  </div>
</template>

<style scoped>
.result {
  font-weight: 700;
}
</style>
