<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'

/** The marks of this pulley at a stop: which one is up, which lies in wait beside it, and one found or chalked here and now. */
const props = defineProps<{ visitId: string; stop: Schemas['SheetStopRecord']; marks: Schemas['MarkRecord'][] }>()
const emit = defineEmits<{ say: [entry: Entry] }>()
/** Survives a reload, until it is marked. */
const { typed } = useTyped(`mark:${props.visitId}`, { adding: false, name: '', trap: false })
const up = computed(() => props.stop.marks.filter((m) => !m.trap && Math.abs(m.aheadDeg) < 1))
const traps = computed(() => props.stop.marks.filter((m) => m.trap || Math.abs(m.aheadDeg) >= 1))
function add() {
  if (!typed.name.trim() || props.stop.crankDeg == null) return
  emit('say', {
    kind: 'marked',
    name: typed.name.trim(),
    crankDeg: props.stop.crankDeg % 360,
    ...(typed.trap ? { trap: true } : {}),
  })
  Object.assign(typed, { adding: false, name: '', trap: false })
}
</script>

<template>
  <div>
    <h2 class="mb-1">The marks here</h2>
    <p v-for="m in up" :key="m.name" class="mb-1">
      <strong>{{ m.name }}</strong> is up at this stop, on both laps.
    </p>
    <p v-for="m in traps" :key="m.name" class="mb-1">
      Not <strong>{{ m.name }}</strong>: it comes up {{ Math.abs(Math.round(m.aheadDeg)) }}°
      {{ m.aheadDeg > 0 ? 'later' : 'before' }}{{ m.trap ? ', a trap' : '' }}.
    </p>
    <p v-if="!stop.marks.length" class="small soft mb-1">
      {{
        marks.length
          ? 'None of the known marks is near. The opposite one is often absent: chalk it.'
          : 'No mark of this engine is known yet.'
      }}
    </p>
    <form v-if="typed.adding" class="add" @submit.prevent="add">
      <BFormInput v-model="typed.name" aria-label="What the mark is called" placeholder="T, or chalk" autofocus />
      <label class="small"><input v-model="typed.trap" type="checkbox" /> a trap, not TDC</label>
      <BButton class="btn-plain" type="submit" :disabled="!typed.name.trim()">It is up now</BButton>
    </form>
    <BButton v-else-if="stop.crankDeg != null" class="btn-plain" @click="typed.adding = true"
      >A mark is up here…</BButton
    >
  </div>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
label {
  display: flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 44px;
}
</style>
