<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormTextarea } from 'bootstrap-vue-next/components/BFormTextarea'
import { ref } from 'vue'
import { answer, api, sentence } from '../../api/client'
import Field from '../../shared/fields/Field.vue'
import { kindWord } from '../../shared/words/points'
import type { TypeForm } from './typeForm'

/** A piece of a manual, pasted: what is understood fills the fields below, what is not is said. */
const form = defineModel<TypeForm>({ required: true })
const text = ref('')
const understood = ref('')
const left = ref<string[]>([])
const complaint = ref('')

async function read() {
  ;[understood.value, left.value, complaint.value] = ['', [], '']
  try {
    const said = await answer(api.POST('/api/engine-types/excerpt', { body: { text: text.value } }))
    const f = form.value
    if (said.firingOrder) f.firingOrder = said.firingOrder.replaceAll('-', ' ')
    if (said.rotation) f.runs = said.rotation
    if (said.clearances.length) {
      f.spec.noFigures = false
      if (said.condition) f.spec.condition = said.condition
      if (said.unit) f.spec.unit = said.unit
      for (const { kind, written } of said.clearances) {
        const line = f.spec.lines.find((l) => l.kind === kind)
        if (line) Object.assign(line, { asks: 'written', written })
      }
    }
    const parts = [
      said.firingOrder && `fires ${said.firingOrder}`,
      ...said.clearances.map((c) => `${kindWord(c.kind)} ${c.written} ${said.unit}`),
      said.condition && said.clearances.length && `${said.condition} engine`,
      said.rotation && `runs ${said.rotation}`,
    ]
    understood.value = `Read: ${parts.filter(Boolean).join(', ')}. Compare it with the page.`
    left.value = said.left
  } catch (refused) {
    complaint.value = sentence(refused)
  }
}
</script>

<template>
  <Field
    v-slot="{ bind }"
    label="Paste what the manual says, or fill in below"
    :complaint="complaint"
    hint="Firing order, clearances and direction are read; nothing is kept before you say so."
  >
    <BFormTextarea
      v-bind="bind"
      v-model="text"
      rows="2"
      placeholder="Firing order 1-3-4-2. Intake 0.25 mm, exhaust 0.40 mm, cold."
    />
  </Field>
  <BButton v-if="text.trim()" class="btn-plain mb-2" @click="read">Read it</BButton>
  <div v-if="understood" class="mb-2" role="status">
    <p class="mb-1">{{ understood }}</p>
    <p v-for="l in left" :key="l" class="small mb-1">Not taken: {{ l }}</p>
  </div>
</template>
