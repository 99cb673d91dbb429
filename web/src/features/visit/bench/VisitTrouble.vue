<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { joinVisit } from '../../../offline/decide'
import type { Problem } from '../../../offline/store'
import type { Trouble } from './useVisit'

/** Over the bench: nobody is chosen, the visit cannot be sent as it is, or a rule refused what has no field of its own. */
const props = defineProps<{
  visitId: string
  nobody: boolean
  untold: number
  held: Problem | null
  trouble: Trouble | null
}>()
defineEmits<{ understood: [] }>()
/** Somebody else had opened the engine: what was measured here can go into that visit. */
const other = computed(() => (props.held?.code === 'engineOpen' ? (props.held.visitId as string) : null))
/** What a step of its own says beside its field is not said again above everything. */
const besideItsField = ['conditionStated', 'tried', 'figureRead', 'kept', 'signed', 'abandoned']
const banner = computed(() =>
  props.trouble && !besideItsField.includes(props.trouble.entry.kind) ? props.trouble : null,
)
</script>

<template>
  <div v-if="nobody" class="conflict" role="alert">
    Choose who measures: every figure carries a name.<template v-if="untold">
      Your reading waits until you choose.</template
    >
  </div>
  <div v-if="held" class="conflict" role="alert">
    <span>{{ held.detail }}</span>
    <BButton v-if="other" class="btn-act" @click="joinVisit(visitId, other)"
      >Add what you measured to that visit</BButton
    >
    <RouterLink v-else class="btn btn-plain" to="/this-tablet">What can be done</RouterLink>
  </div>
  <div v-if="banner" class="conflict" role="alert">
    <span>{{ banner.refusal.message }}</span>
    <BButton class="btn-plain" @click="$emit('understood')">Understood</BButton>
  </div>
</template>

<style scoped>
.conflict {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  flex-wrap: wrap;
  padding: 0.6rem 1.25rem;
  background: var(--shade);
  border-bottom: 1.5px solid var(--ink);
  border-left: 8px solid var(--ink);
  font-weight: 700;
}
</style>
