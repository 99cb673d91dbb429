<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import DayField from '../../shared/fields/DayField.vue'
import { machineNames } from '../../shared/words/machines'
import { sorts } from './useYardList'

const find = defineModel<string>('find', { required: true })
const machine = defineModel<string>('machine', { required: true })
const site = defineModel<string>('site', { required: true })
const sort = defineModel<string>('sort', { required: true })
const until = defineModel<string>('until', { required: true })
defineProps<{ sites: string[] }>()
defineEmits<{ add: [] }>()
</script>

<template>
  <div class="tools">
    <BFormInput
      id="find"
      v-model="find"
      class="find"
      type="search"
      placeholder="Find engine, site or finding   /"
      aria-label="Find engine, site or finding"
    />
    <BFormSelect v-model="machine" aria-label="Kind of machine">
      <option value="">All kinds</option>
      <option v-for="(name, key) in machineNames" :key="key" :value="key">{{ name }}</option>
    </BFormSelect>
    <BFormSelect v-model="site" aria-label="Site">
      <option value="">All sites</option>
      <option v-for="s in sites" :key="s" :value="s">{{ s }}</option>
    </BFormSelect>
    <BFormSelect v-model="sort" aria-label="Order">
      <option v-for="(name, key) in sorts" :key="key" :value="key">{{ name }}</option>
    </BFormSelect>
    <div class="until"><DayField v-model="until" aria-label="Due until" placeholder="due until…" /></div>
    <BButton class="btn-plain" @click="$emit('add')">Add an engine</BButton>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
}
.find {
  width: 250px;
}
.tools select {
  width: 128px;
}
.until {
  width: 190px;
}
@media (max-width: 600px) {
  .tools > *,
  .find,
  .tools select,
  .until {
    width: 100%;
  }
}
</style>
