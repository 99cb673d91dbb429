<script setup lang="ts">
import { ref } from 'vue'
import Field from '../fields/Field.vue'

/** A picture to go with what is typed, kept as soon as it is chosen: its hash comes out. */
const props = defineProps<{ label: string; keep: (file: File) => Promise<string>; camera?: boolean }>()
const hash = defineModel<string | null>({ required: true })
const busy = defineModel<boolean>('busy', { default: false })
const complaint = ref('')
async function chosen(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  busy.value = true
  complaint.value = ''
  try {
    hash.value = await props.keep(file)
  } catch (caught) {
    complaint.value = caught instanceof Error && caught.message ? caught.message : 'That is no picture; choose a photo.'
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Field
    v-slot="{ bind }"
    :label="label"
    :complaint="complaint"
    :hint="busy ? 'Making it smaller…' : hash ? 'Kept.' : ''"
  >
    <input
      v-bind="bind"
      type="file"
      accept="image/*"
      :capture="camera ? 'environment' : undefined"
      class="form-control"
      @change="chosen"
    />
  </Field>
</template>
