<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'
import type { Visit } from './useVisit'

/** Signs of earlier work, asked when the covers come off; what was seen belongs to the visit. */
const props = defineProps<{ view: Visit; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const lead = 'Signs of earlier work: '
/** Survives a reload, until it is noted. */
const { typed } = useTyped(`signs:${props.view.visitId}`, { signs: '' })
const seen = computed(() => props.view.notes.filter((n) => n.text.startsWith(lead)))
function note() {
  if (!typed.signs.trim()) return
  emit('say', { kind: 'noted', text: lead + typed.signs.trim() })
  typed.signs = ''
}
</script>

<template>
  <div>
    <p v-for="n in seen" :key="n.entry" class="mt-2 mb-1">{{ n.text }}</p>
    <form v-if="!closed" class="signs" @submit.prevent="note">
      <label for="signs" class="small">Signs of earlier work, if any</label>
      <BFormInput
        id="signs"
        v-model="typed.signs"
        placeholder="a gasket that comes off whole, fresh sealant, tool marks"
      />
      <BButton type="submit" class="btn-plain" :disabled="!typed.signs.trim()">Note</BButton>
    </form>
  </div>
</template>

<style scoped>
.signs {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  flex-wrap: wrap;
  margin-top: 1rem;
}
.signs .form-control {
  flex: 1 1 220px;
}
</style>
