<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { kindWord } from '../words/points'
import type { Asks, SpecLine } from './specLine'

/** One line of a spec: what it asks, and the cells that belong to it. */
const line = defineModel<SpecLine>({ required: true })
defineProps<{ invalid?: boolean }>()
const asks = [
  { value: 'written', text: 'as written' },
  { value: 'window', text: 'a window' },
  { value: 'single', text: 'one figure' },
  { value: 'blades', text: 'two blades' },
  { value: 'zero', text: 'zero lash' },
  { value: 'turns', text: 'turns on' },
  { value: 'fraction', text: 'part of the travel' },
  { value: 'height', text: 'a height' },
  { value: 'torque', text: 'a torque' },
]
const cells: Record<Asks, [key: Exclude<keyof SpecLine, 'kind' | 'asks'>, name: string][]> = {
  written: [['written', 'clearance']],
  window: [
    ['min', 'from'],
    ['max', 'to'],
    ['set', 'set'],
  ],
  single: [
    ['single', 'figure'],
    ['tight', 'tighter by'],
    ['loose', 'looser by'],
  ],
  blades: [
    ['go', 'goes'],
    ['noGo', 'does not'],
    ['set', 'set, if given'],
  ],
  zero: [],
  turns: [['amount', 'turns past contact']],
  fraction: [['amount', 'of the travel, such as 0.5']],
  height: [['amount', 'mm']],
  torque: [['amount', 'Nm']],
}
</script>

<template>
  <div class="line">
    <span>{{ kindWord(line.kind) }}</span>
    <BFormSelect v-model="line.asks" :aria-label="`${line.kind} asks`" :options="asks" />
    <label v-for="[key, name] in cells[line.asks]" :key="key" :class="{ alone: cells[line.asks].length === 1 }">
      <span class="caps">{{ name }}</span>
      <BFormInput
        v-model="line[key]"
        class="figure"
        :inputmode="key === 'written' ? undefined : 'decimal'"
        :aria-label="`${line.kind} ${name}`"
        :placeholder="key === 'written' ? '0.25, 0.20-0.30 or 0.25 ± 0.05' : undefined"
        :aria-invalid="invalid ? 'true' : undefined"
      />
    </label>
    <span v-if="line.asks === 'zero'" class="small soft">no gap and no preload: the pushrod just turns</span>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 5.6rem 8rem repeat(3, minmax(0, 1fr));
  gap: 0.5rem;
  align-items: end;
  margin-bottom: 0.4rem;
}
.line > span:first-child {
  padding-bottom: 0.6rem;
}
.alone {
  grid-column: span 3;
}
@media (max-width: 600px) {
  .alone {
    grid-column: auto;
  }
  .line {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
