<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import { day } from '../../../shared/figures/days'
import { jobWord } from '../../../shared/words/jobs'
import type { OpeningForm } from './useOpening'

/** Points that an earlier visit left: this one goes on with them, or measures anew. */
const form = defineModel<OpeningForm>({ required: true })
defineProps<{ waits: Schemas['AwaitingPoints'][]; goesOn: Schemas['AwaitingPoints'] | null }>()

function goOnWith(w: Schemas['AwaitingPoints'] | null) {
  form.value.goOn = w?.visitId ?? 'anew'
  if (w) form.value.job = w.job
}
</script>

<template>
  <fieldset class="mb-3 whole">
    <legend class="form-label">What waits on this engine</legend>
    <label v-for="w in waits" :key="w.visitId" class="ticked"
      ><input type="radio" name="goes-on" :checked="goesOn?.visitId === w.visitId" @change="goOnWith(w)" /> Go on with
      {{ w.points.join(', ') }}, waiting since {{ day(w.date) }} ({{ jobWord(w.job) }})</label
    >
    <label class="ticked"
      ><input type="radio" name="goes-on" :checked="!goesOn" @change="goOnWith(null)" /> Not this time: measure
      anew</label
    >
  </fieldset>
</template>
