<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import { useTyped } from '../../../shared/forms/useTyped'
import type { Visit } from './useVisit'

/** Steps to tick: a count is said as a number, a look by what was seen. What is typed stays until it is said, over a reload too. */
const props = defineProps<{ view: Visit; items: Schemas['StepRecord'][]; locked?: boolean }>()
const emit = defineEmits<{ tick: [key: string, on: boolean, said?: string] }>()
const { typed } = useTyped<Record<string, string>>(`said:${props.view.visitId}:${props.items[0]?.list}`, {})
const saidAt = (key: string) => props.view.saidSteps.find((s) => s.step === key)?.said
const isOn = (key: string) => props.view.ticked.includes(key)
const isCount = (text: string) => /^\d{1,4}$/.test(text.trim())
function say(item: Schemas['StepRecord']) {
  const text = typed[item.step]?.trim() ?? ''
  if (item.counts && !isCount(text)) return
  emit('tick', item.step, true, text || undefined)
}
function press(item: Schemas['StepRecord']) {
  if (isOn(item.step)) emit('tick', item.step, false)
  else if (item.counts || item.asks) say(item)
  else emit('tick', item.step, true)
}
</script>

<template>
  <div role="group">
    <div v-for="item in items" :key="item.step" class="line">
      <button
        type="button"
        class="tick"
        role="checkbox"
        :aria-checked="isOn(item.step)"
        :disabled="locked"
        @click="press(item)"
      >
        <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
          <rect x="1.5" y="1.5" width="21" height="21" fill="none" stroke="currentColor" stroke-width="2" />
          <path v-if="isOn(item.step)" d="M5 12.5 L10 18 L19.5 6" fill="none" stroke="var(--blue)" stroke-width="3.4" />
        </svg>
        <span
          >{{ item.text }} <strong v-if="saidAt(item.step)" class="figure"> {{ saidAt(item.step) }}</strong></span
        >
      </button>
      <form v-if="(item.counts || item.asks) && !isOn(item.step) && !locked" class="asks" @submit.prevent="say(item)">
        <label :for="`said-${item.step}`" class="small">{{
          item.counts ? (item.counts === 'out' ? 'Out:' : 'Back in:') : item.asks
        }}</label>
        <input
          :id="`said-${item.step}`"
          v-model="typed[item.step]"
          class="form-control"
          :class="{ count: item.counts }"
          :inputmode="item.counts ? 'numeric' : undefined"
          :maxlength="item.counts ? 4 : 300"
        />
        <button type="submit" class="btn btn-plain" :disabled="!!item.counts && !isCount(typed[item.step] ?? '')">
          {{ item.counts ? 'Counted' : typed[item.step]?.trim() ? 'Seen' : 'Nothing seen' }}
        </button>
      </form>
    </div>
  </div>
</template>

<style scoped>
.line {
  border-bottom: 1px solid var(--hairline);
}
.tick {
  display: flex;
  align-items: center;
  gap: 0.9rem;
  width: 100%;
  min-height: 54px;
  padding: 0.4rem 0.6rem;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  font-size: 1.08rem;
}
.tick[aria-checked='true'] {
  background: var(--blue-wash);
}
.asks {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  flex-wrap: wrap;
  padding: 0 0.6rem 0.6rem 3rem;
}
.asks .form-control {
  flex: 1 1 180px;
  min-height: 44px;
}
.asks .count {
  flex: 0 0 80px;
}
svg {
  flex: none;
}
</style>
