<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import type { Entry } from '../../../offline/entries'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import type { Figures } from '../../../shared/figures/useFigures'
import { useTyped } from '../../../shared/forms/useTyped'
import { readingText } from '../../../shared/words/readings'
import { claimed } from '../claimed'
import type { Point, Sheet } from './useVisit'

/** A receiving check: what somebody else says it was left at, beside what is found. */
const props = defineProps<{ visitId: string; sheet: Sheet; point: Point; figures: Figures; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const { typed, forget } = useTyped(`claimed:${props.visitId}:${props.point.label}`, { figure: '' })
/** One shop, as a rule, claims all of it: named once. */
const { typed: who } = useTyped(`claimed:${props.visitId}`, { by: '' })
const unit = ref(props.sheet.trayUnit)
function claim() {
  const figure = typed.figure.trim()
  if (!figure) return
  forget()
  emit('say', ...claimed(props.point.label, figure, unit.value, who.by).entries)
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
    <ClearanceField id="claimed" v-model="typed.figure" v-model:unit="unit" class="figure-field" />
    <BFormInput v-model="who.by" aria-label="Claimed by" placeholder="by whom" class="by" />
    <BButton type="submit" class="btn-plain" :disabled="!typed.figure.trim()">Claimed</BButton>
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
