<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Entry } from '../../../offline/entries'
import type { Visit } from './useVisit'

/** Signs of earlier work, asked when the covers come off; what was seen belongs to the visit. */
const props = defineProps<{ view: Visit; closed: boolean }>()
const emit = defineEmits<{ say: [...entries: Entry[]] }>()
const lead = 'Signs of earlier work: '
const signs = ref('')
const seen = computed(() => props.view.notes.filter((n) => n.text.startsWith(lead)))
function note() {
  if (!signs.value.trim()) return
  emit('say', { kind: 'noted', text: lead + signs.value.trim() })
  signs.value = ''
}
</script>

<template>
  <div>
    <p v-for="n in seen" :key="n.entry" class="mt-2 mb-1">{{ n.text }}</p>
    <form v-if="!closed" class="signs" @submit.prevent="note">
      <label for="signs" class="small">Signs of earlier work, if any</label>
      <BFormInput id="signs" v-model="signs" placeholder="a gasket that comes off whole, fresh sealant, tool marks" />
      <BButton type="submit" class="btn-plain" :disabled="!signs.trim()">Note</BButton>
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
