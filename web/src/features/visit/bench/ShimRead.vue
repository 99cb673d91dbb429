<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref } from 'vue'
import { Refusal, type Schemas } from '../../../api/client'
import { call } from '../../../core/call'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import type { Unit } from '../../../shared/figures/lengths'
import { knownBy, size, thickness } from '../../../shared/words/shims'

/** A shim's thickness as it is written or called, in mm or thou: last digits and a lost point are asked for whole. */
const props = defineProps<{ sizes: number[]; label: string; submit: string }>()
const emit = defineEmits<{ read: [thickness: string, how: Schemas['ShimKnownBy'], unit: Unit] }>()
const typed = ref('')
const unit = ref<Unit>('mm')
const how = ref<Schemas['ShimKnownBy']>('micrometer')
const complaint = ref('')
const offers = ref<number[]>([])

async function ask() {
  complaint.value = ''
  offers.value = []
  if (!typed.value.trim()) return
  try {
    const written = typed.value.trim().replace(',', '.')
    const read = await call('shim-mark', { written, sizesMm: props.sizes, unit: unit.value })
    if (read.mm != null) {
      const asWritten = unit.value === 'thou' || /^\d+\.\d+$/.test(written)
      emit('read', asWritten ? written : size(read.mm), how.value, unit.value)
      typed.value = ''
    } else if (read.offersMm.length) {
      offers.value = read.offersMm
      complaint.value = `Say it whole: is ${written} one of these?`
    } else {
      complaint.value = `${written} is no thickness of this series (${thickness(props.sizes[0] ?? 0, unit.value)} to ${thickness(props.sizes.at(-1) ?? 0, unit.value)} ${unit.value}).`
    }
  } catch (caught) {
    complaint.value = caught instanceof Refusal ? caught.message : 'It could not be read; try again.'
  }
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
