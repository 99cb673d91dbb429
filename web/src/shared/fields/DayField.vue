<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref, useId, watch } from 'vue'
import { day, typedDay } from '../figures/days'

/** A day, typed as people write it and shown as 21 Nov 2026, or picked; the value is 2026-11-21, empty where there is none. */
const value = defineModel<string>({ required: true })
defineProps<{ placeholder?: string }>()
defineOptions({ inheritAttrs: false })
const text = ref(value.value ? day(value.value) : '')
const isOdd = ref(false)
const picker = ref<HTMLInputElement>()
const note = useId()

watch(value, (now) => {
  if (now !== typedDay(text.value)) text.value = now ? day(now) : ''
  isOdd.value = false
})
function typed(now: string) {
  text.value = now
  const read = typedDay(now)
  // What is no day goes to the server as it was typed, which refuses it by name.
  value.value = read === undefined ? '' : (read ?? now.trim())
}
function leave() {
  const read = typedDay(text.value)
  isOdd.value = read === null
  if (read) text.value = day(read)
}
function pick() {
  try {
    picker.value?.showPicker()
  } catch {
    picker.value?.focus()
  }
}
</script>

<template>
  <div class="d-flex gap-1 day">
    <BFormInput
      v-bind="$attrs"
      :model-value="text"
      :placeholder="placeholder ?? '21 Nov 2026'"
      autocomplete="off"
      :aria-describedby="isOdd ? note : ($attrs['aria-describedby'] as string | undefined)"
      @update:model-value="typed(String($event ?? ''))"
      @blur="leave"
    />
    <button type="button" class="btn btn-plain" aria-label="Pick the day" @click="pick">
      <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
        <path d="M2 4h14v12H2z M2 8h14 M6 2v4 M12 2v4" fill="none" stroke="currentColor" stroke-width="1.6" />
      </svg>
    </button>
    <input
      ref="picker"
      type="date"
      class="hidden-picker"
      tabindex="-1"
      aria-label="Day"
      :value="value"
      @change="typed(day(($event.target as HTMLInputElement).value))"
    />
  </div>
  <div v-if="isOdd" :id="note" class="complaint">That is no day; write it as 21 Nov 2026.</div>
</template>

<style scoped>
.day {
  position: relative;
}
.day .btn {
  --bs-btn-padding-x: 0;
  width: 46px;
  flex: none;
}
.hidden-picker {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 44px;
  height: 1px;
  opacity: 0;
  border: 0;
  pointer-events: none;
}
</style>
