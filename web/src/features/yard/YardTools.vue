<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { machineNames } from '../../shared/words/machines'
import { sorts } from './useYardList'

/** The yard narrowed and ordered; on a phone folded, so that the first engine is in sight. */
const find = defineModel<string>('find', { required: true })
const machine = defineModel<string>('machine', { required: true })
const site = defineModel<string>('site', { required: true })
const sort = defineModel<string>('sort', { required: true })
const until = defineModel<string>('until', { required: true })
defineProps<{ sites: string[]; isNarrowed: boolean }>()
defineEmits<{ add: [] }>()
const phone = window.matchMedia('(max-width: 600px)').matches
</script>

<template>
  <details class="tools no-print" :open="!phone || isNarrowed">
    <summary>Narrow, order, add</summary>
    <div class="row-of">
      <BFormInput
        id="find"
        v-model="find"
        class="find"
        type="search"
        placeholder="Only engines with…"
        aria-label="Only engines with these words: name, site or finding"
      />
      <BFormSelect v-model="machine" aria-label="Kind of machine">
        <option value="">All kinds</option>
        <option v-for="(name, key) in machineNames" :key="key" :value="key">{{ name }}</option>
      </BFormSelect>
      <BFormSelect v-model="site" aria-label="Site">
        <option value="">All places</option>
        <option v-for="s in sites" :key="s" :value="s">{{ s }}</option>
      </BFormSelect>
      <BFormSelect v-model="until" class="due" aria-label="Due until">
        <option value="">Whenever due</option>
        <option value="soon">Due in eight weeks</option>
      </BFormSelect>
      <BFormSelect v-model="sort" aria-label="Order">
        <option v-for="(name, key) in sorts" :key="key" :value="key">{{ name }}</option>
      </BFormSelect>
      <BButton class="btn-plain" @click="$emit('add')">Add an engine</BButton>
    </div>
  </details>
</template>

<style scoped>
.row-of {
  display: flex;
  gap: 0.5rem;
  flex-wrap: wrap;
}
summary {
  display: none;
}
.find {
  width: 190px;
}
.row-of select {
  width: 128px;
}
.row-of .due {
  width: 176px;
}
@media (max-width: 600px) {
  summary {
    display: list-item;
    min-height: 44px;
    padding-top: 0.6rem;
    color: var(--blue);
  }
  .row-of > *,
  .find,
  .row-of select,
  .row-of .due {
    width: 100%;
  }
}
</style>
