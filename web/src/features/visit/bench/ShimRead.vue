<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref } from 'vue'
import type { Schemas } from '../../../api/client'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import type { Unit } from '../../../shared/figures/lengths'
import { knownBy, thickness } from '../../../shared/words/shims'
import { readShim } from '../readShim'

/** A shim's thickness as it is written or called, in mm or thou: last digits and a lost point are asked for whole. */
const props = defineProps<{
  sizes: number[]
  /** What is marked on them instead of a size, where it is. */
  marks?: string[] | null
  /** What the job is measured in. */
  jobUnit?: string
  label: string
  submit: string
}>()
const emit = defineEmits<{ read: [thickness: string, how: Schemas['ShimKnownBy'], unit: Unit] }>()
const typed = ref('')
const unit = ref<Unit>(props.jobUnit === 'thou' ? 'thou' : 'mm')
const how = ref<Schemas['ShimKnownBy']>('micrometer')
const complaint = ref('')
const offers = ref<number[]>([])

async function ask() {
  complaint.value = ''
  offers.value = []
  if (!typed.value.trim()) return
  const read = await readShim(typed.value, unit.value, props.sizes, props.marks)
  if ('complaint' in read) {
    complaint.value = read.complaint
    offers.value = read.offers
    return
  }
  emit('read', read.thickness, how.value, unit.value)
  typed.value = ''
}
function take(mm: number) {
  offers.value = []
  complaint.value = ''
  typed.value = ''
  emit('read', thickness(mm, unit.value), how.value, unit.value)
}
</script>

<template>
  <form class="read" @submit.prevent="ask">
    <Field v-slot="{ bind }" :label="label" :complaint="complaint" class="thick">
      <ClearanceField v-bind="bind" v-model="typed" v-model:unit="unit" />
    </Field>
    <Field v-slot="{ id }" label="Known by">
      <select :id="id" v-model="how" class="form-select">
        <option v-for="(text, key) in knownBy" :key="key" :value="key">{{ text }}</option>
      </select>
    </Field>
    <BButton type="submit" class="btn-act" :disabled="!typed.trim()">{{ submit }}</BButton>
    <div v-if="offers.length" class="d-flex gap-2 flex-wrap w-100">
      <BButton v-for="mm in offers" :key="mm" class="btn-plain" @click="take(mm)"
        >{{ thickness(mm, unit) }} {{ unit }}</BButton
      >
    </div>
  </form>
</template>

<style scoped>
.read {
  display: flex;
  gap: 0.6rem;
  align-items: flex-start;
  flex-wrap: wrap;
}
.thick {
  flex: 1 1 200px;
}
.read > .btn {
  margin-top: 1.75rem;
}
</style>
