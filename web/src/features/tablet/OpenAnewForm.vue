<script setup lang="ts">
import { reactive } from 'vue'
import { openAnew } from '../../offline/decide'
import type { Entry } from '../../offline/entries'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import HoursField from '../../shared/fields/HoursField.vue'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** The meter or the day of an opening that the server would not have: said again, and the whole visit goes. */
const props = defineProps<{ visitId: string; opening: Extract<Entry, { kind: 'opened' }> }>()
const typed = reactive({ hours: String(props.opening.shownHours ?? ''), date: props.opening.date })
const form = useForm({
  check: () => ({ shownHours: notHours(typed.hours) ?? (!typed.hours.trim() && 'Give what the hour meter showed.') }),
  send: () =>
    openAnew(props.visitId, {
      shownHours: typedHours(typed.hours) ?? undefined,
      date: typed.date || props.opening.date,
    }),
})
</script>

<template>
  <form novalidate @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="shownHours" label="Hour meter showed"
      ><HoursField v-bind="bind" v-model="typed.hours"
    /></Field>
    <Field v-slot="{ bind }" name="date" label="Opened on"><DayField v-bind="bind" v-model="typed.date" /></Field>
    <FormEnd :needs-server="false">Send with these</FormEnd>
  </form>
</template>
