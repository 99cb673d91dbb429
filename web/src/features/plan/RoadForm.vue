<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** The road between two sites; given again it is changed. */
const sites = useQuery(() => queries.sites())
const put = useWrite(writes.putRoad)
const open = ref(false)
const typed = reactive({ fromId: '', toId: '', minutes: '' })
const form = useForm({
  check: () => ({
    fromId: !typed.fromId && 'Choose a site.',
    toId: !typed.toId && 'Choose the other site.',
    hours: notANumber(typed.minutes) ?? (!typed.minutes.trim() && 'Give the minutes on the road.'),
  }),
  send: () =>
    put.mutateAsync({ fromId: typed.fromId, toId: typed.toId, hours: (typedNumber(typed.minutes) ?? 0) / 60 }),
  done: () => 'Saved. Press Plan again.',
  then: () => {
    open.value = false
    Object.assign(typed, { fromId: '', toId: '', minutes: '' })
  },
})
</script>

<template>
  <button v-if="!open" type="button" class="btn btn-plain" @click="open = true">Add or change a road…</button>
  <form v-else novalidate @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="fromId" label="Between">
      <BFormSelect v-bind="bind" v-model="typed.fromId">
        <option value="">choose…</option>
        <option v-for="s in sites.data.value ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" name="toId" label="and">
      <BFormSelect v-bind="bind" v-model="typed.toId">
        <option value="">choose…</option>
        <option v-for="s in sites.data.value ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
      </BFormSelect>
    </Field>
    <Field v-slot="{ bind }" name="hours" label="On the road">
      <NumberField v-bind="bind" v-model="typed.minutes" unit="min" />
    </Field>
    <FormEnd>Save</FormEnd>
  </form>
</template>
