<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { day } from '../../../shared/figures/days'
import { policyNames } from '../../../shared/words/shims'
import type { Bench } from './useBench'

/** Which engines lie on the bench, who measured them and how, the way back to their visits, and the policy in force. */
defineProps<{ engines: Bench['engines'] }>()
const policy = defineModel<string>({ required: true })
</script>

<template>
  <div class="page-head">
    <div>
      <h1>{{ engines.map((e) => e.engine).join(', ') }}: shim bench</h1>
      <p class="soft small mb-0 mt-1">
        <template v-for="(e, i) in engines" :key="e.visitId"
          ><template v-if="i"> · </template>{{ e.typeName }}, measured by {{ e.measuredBy ?? 'somebody' }} on
          {{ day(e.date) }}, {{ e.condition ?? 'condition not said'
          }}<template v-if="e.temperatureC != null">, {{ Math.round(e.temperatureC) }} °C</template></template
        >
      </p>
    </div>
    <div class="d-flex gap-2 flex-wrap">
      <BButton
        v-for="e in engines"
        :key="e.visitId"
        class="btn-plain"
        :to="{ name: e.state === 'open' ? 'visit' : 'record', params: { id: e.visitId } }"
        >{{ engines.length > 1 ? e.engine : e.state === 'open' ? 'Back to the visit' : 'The record' }}</BButton
      >
      <label class="d-flex align-items-center gap-2">
        <span class="visually-hidden">Policy</span>
        <select v-model="policy" class="form-select" aria-label="Policy">
          <option v-for="(name, key) in policyNames" :key="key" :value="key">{{ name }}</option>
        </select>
      </label>
    </div>
  </div>
</template>
