<script setup lang="ts">
import type { Step } from './useSteps'
import { stepOfList } from './useSteps'
import type { Sheet, Visit } from './useVisit'

/** What the signature waits for, each with the way there. */
const props = defineProps<{ view: Visit; sheet: Sheet }>()
defineEmits<{ go: [to: Step]; pick: [label: string] }>()
type Refused = Visit['refusals'][number]
/** The missing lines of a refusal by their texts. */
const lines = (r: Refused) => props.sheet.steps.filter((s) => r.steps?.includes(s.step))
</script>

<template>
  <div>
    <p class="mt-2 mb-1">It cannot be signed yet:</p>
    <ul class="waits">
      <li v-for="r in view.refusals" :key="r.code">
        <p class="is-tight mb-1">{{ r.sentence }}</p>
        <button v-if="r.code === 'conditionMissing'" type="button" class="text-link" @click="$emit('go', 'condition')">
          Say it now
        </button>
        <button
          v-for="s in lines(r)"
          :key="s.step"
          type="button"
          class="text-link d-block"
          @click="s.point ? $emit('pick', s.point) : $emit('go', stepOfList(s.list))"
        >
          {{ s.point ? `${s.point}: ` : '' }}{{ s.text }}
        </button>
        <button
          v-for="label in r.points ?? []"
          :key="label"
          type="button"
          class="btn btn-plain me-1 mb-1"
          @click="$emit('pick', label)"
        >
          {{ label }}
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.waits {
  list-style: none;
  padding: 0;
}
.waits li {
  margin-bottom: 0.6rem;
}
.text-link {
  min-height: 44px;
  text-align: left;
}
</style>
