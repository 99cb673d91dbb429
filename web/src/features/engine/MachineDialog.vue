<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { machineNames, machinePropertyNames } from '../../shared/words/machines'

/** What the engine drives, and what of it can hurt somebody: its kind is a preset, and each property is changed for the machine at hand. */
const shown = defineModel<boolean>({ required: true })
const props = defineProps<{ machineId: string }>()
const machines = useQuery(() => ({ ...queries.machines(), enabled: shown.value }))
const machine = computed(() => machines.data.value?.find((m) => m.id === props.machineId))
const change = useWrite(writes.changeMachine)
const typed = reactive({
  kind: 'other' as Schemas['MachineKind'],
  has: [] as Schemas['MachineProperty'][],
  touched: false,
})
watch(
  [machine, shown],
  ([now]) => {
    if (now) Object.assign(typed, { kind: now.kind, has: [...now.properties], touched: false })
  },
  { immediate: true },
)
const form = useForm({
  check: () => ({}),
  send: () =>
    change.mutateAsync({
      machineId: props.machineId,
      ...(typed.kind === machine.value?.kind ? {} : { kind: typed.kind }),
      // Another kind brings its own, unless somebody ticks otherwise.
      ...(typed.touched ? { properties: typed.has } : {}),
    }),
  done: (m) => `${m.name}: changed. Visits opened from now on ask by it.`,
  then: () => (shown.value = false),
})
</script>

<template>
  <BModal v-model="shown" :title="machine?.name ?? 'The machine'" title-tag="h2" no-footer focus="form select">
    <form v-if="machine" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="kind" label="It is a">
        <BFormSelect v-bind="bind" v-model="typed.kind">
          <option v-for="(name, kind) in machineNames" :key="kind" :value="kind">{{ name.toLowerCase() }}</option>
        </BFormSelect>
      </Field>
      <fieldset v-if="typed.kind === machine.kind || typed.touched" class="mb-3">
        <legend class="form-label">It has</legend>
        <label v-for="(name, property) in machinePropertyNames" :key="property" class="has"
          ><input v-model="typed.has" type="checkbox" :value="property" @change="typed.touched = true" />
          {{ name }}</label
        >
        <p class="small soft mb-0">The list that makes it safe follows from this.</p>
      </fieldset>
      <p v-else class="small soft">
        It gets what such a machine usually has.
        <button type="button" class="text-link" @click="typed.touched = true">Choose otherwise</button>
      </p>
      <FormEnd>Save</FormEnd>
    </form>
  </BModal>
</template>

<style scoped>
.has {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: 44px;
}
input[type='checkbox'] {
  width: 22px;
  height: 22px;
}
</style>
