<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref } from 'vue'
import { Refusal, type Schemas } from '../../../api/client'
import { call } from '../../../core/call'
import NumberField from '../../../shared/fields/NumberField.vue'
import Field from '../../../shared/fields/Field.vue'
import { knownBy, size } from '../../../shared/words/shims'

/** A shim's thickness as it is written or called: last digits and a lost point are asked for whole. */
const props = defineProps<{ sizes: number[]; label: string; submit: string }>()
const emit = defineEmits<{ read: [thickness: string, how: Schemas['ShimKnownBy']] }>()
const typed = ref('')
const how = ref<Schemas['ShimKnownBy']>('micrometer')
const complaint = ref('')
const offers = ref<number[]>([])

async function ask() {
  complaint.value = ''
  offers.value = []
  if (!typed.value.trim()) return
  try {
    const read = await call('shim-mark', { written: typed.value.trim(), sizesMm: props.sizes })
    if (read.mm != null) {
      emit(
        'read',
        /^\d+[.,]\d+$/.test(typed.value.trim()) ? typed.value.trim().replace(',', '.') : size(read.mm),
        how.value,
      )
      typed.value = ''
    } else if (read.offersMm.length) {
      offers.value = read.offersMm
      complaint.value = `Say it whole: is ${typed.value.trim()} one of these?`
    } else {
      complaint.value = `${typed.value.trim()} is no thickness of this series (${size(props.sizes[0] ?? 0)} to ${size(props.sizes.at(-1) ?? 0)} mm).`
    }
  } catch (caught) {
    complaint.value = caught instanceof Refusal ? caught.message : 'It could not be read; try again.'
  }
}
function take(mm: number) {
  offers.value = []
  complaint.value = ''
  typed.value = ''
  emit('read', size(mm), how.value)
}
</script>

<template>
  <form class="read" @submit.prevent="ask">
    <Field v-slot="{ bind }" :label="label" :complaint="complaint" class="thick">
      <NumberField v-bind="bind" v-model="typed" unit="mm" />
    </Field>
    <Field v-slot="{ id }" label="Known by">
      <select :id="id" v-model="how" class="form-select">
        <option v-for="(text, key) in knownBy" :key="key" :value="key">{{ text }}</option>
      </select>
    </Field>
    <BButton type="submit" class="btn-act" :disabled="!typed.trim()">{{ submit }}</BButton>
    <div v-if="offers.length" class="d-flex gap-2 flex-wrap w-100">
      <BButton v-for="mm in offers" :key="mm" class="btn-plain" @click="take(mm)">{{ size(mm) }}</BButton>
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
