<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import { newId } from '../../../api/newId'
import type { Entry } from '../../../offline/entries'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { readingText } from '../../../shared/words/readings'
import type { Point, Sheet } from './useVisit'

/** A receiving check: what somebody else says it was left at, beside what is found. */
const props = defineProps<{ sheet: Sheet; point: Point; figures: Figures; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const figure = ref('')
const unit = ref(props.sheet.trayUnit)
const by = ref('')
function claim() {
  if (!figure.value.trim()) return
  const reading = newId()
  emit(
    'say',
    {
      kind: 'figureRead',
      reading,
      point: props.point.label,
      stage: 'claimed',
      figure: figure.value.trim(),
      unit: unit.value,
      with: 'figure',
      ...(by.value.trim() ? { claimedBy: by.value.trim() } : {}),
    },
    { kind: 'kept', reading, sure: true },
  )
}
</script>

<template>
  <p v-if="point.claimed" class="mb-1">
    Claimed: <strong class="figure">{{ readingText(point.claimed, figures.withUnit) }}</strong><template
      v-if="point.claimedBy"
    >
      by {{ point.claimedBy }}</template
    >.
  </p>
  <form v-else-if="!closed" class="claim" @submit.prevent="claim">
    <label for="claimed" class="small soft">what was claimed</label>
    <ClearanceField id="claimed" v-model="figure" v-model:unit="unit" class="figure-field" />
    <BFormInput v-model="by" aria-label="Claimed by" placeholder="by whom" class="by" />
    <BButton type="submit" class="btn-plain" :disabled="!figure.trim()">Claimed</BButton>
  </form>
</template>

<style scoped>
.claim {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 0.4rem;
}
.figure-field {
  width: 200px;
}
.by {
  width: 140px;
}
</style>
