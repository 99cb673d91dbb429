<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import type { Entry } from '../../../offline/entries'
import CloseUpStep from './CloseUpStep.vue'
import ConditionStep from './ConditionStep.vue'
import MakeSafeStep from './MakeSafeStep.vue'
import OpenUp from './OpenUp.vue'
import type { ListedStep } from './useSteps'
import type { Sheet, SheetStep, Trouble, Visit } from './useVisit'

/** What is ticked or stated before the points and after them. */
defineProps<{
  view: Visit
  sheet: Sheet
  step: ListedStep
  list: (which: Schemas['StepList']) => SheetStep[]
  closed: boolean
  trouble: Trouble | null
}>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const say = (...entries: Entry[]) => emit('say', ...entries)
</script>

<template>
  <MakeSafeStep
    v-if="step === 'makeSafe'"
    :view="view"
    :items="list('makeSafe')"
    :kit="list('kit')"
    :closed="closed"
    @say="say"
  />
  <ConditionStep
    v-else-if="step === 'condition'"
    :visit-id="view.visitId"
    :view="sheet"
    :conditions="view.context?.demands ?? []"
    :refusal="trouble?.entry.kind === 'conditionStated' ? trouble.refusal : null"
    @condition="(stated) => say({ kind: 'conditionStated', ...stated })"
  />
  <OpenUp
    v-else-if="step === 'covers' || step === 'first'"
    :key="step"
    :view="view"
    :items="list(step === 'covers' ? 'covers' : 'stop')"
    :first="step === 'first'"
    :closed="closed"
    @say="say"
  />
  <CloseUpStep
    v-else
    :view="view"
    :sheet="sheet"
    :before="list('beforeCloseUp')"
    :items="list('closeUp')"
    :closed="closed"
    @say="say"
  />
</template>
