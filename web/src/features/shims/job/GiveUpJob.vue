<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { useWrite, writes } from '../../../api/writes'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import { useForm } from '../../../shared/forms/useForm'
import { usePreferences } from '../../../shared/preferences'

/** The job is given up: the drawers get back what was laid out, and the bench is free again. */
const props = defineProps<{ job: Schemas['ShimJobResponse'] }>()
const preferences = usePreferences()
const happen = useWrite(writes.shimHappened)
const open = ref(false)
const why = ref('')
const me = useMe()
const who = computed(() => me() ?? '')
const form = useForm({
  check: () => ({ who: !who.value && 'Say who gives it up.', why: !why.value.trim() && 'Say why it is given up.' }),
  send: () => happen.mutateAsync({ jobId: props.job.id, id: newId(), kind: 'dropped', who: who.value, why: why.value }),
  done: () => 'Given up; what was laid out lies in its drawer again.',
})
</script>

<template>
  <div>
    <button v-if="!open" type="button" class="text-link small" @click="open = true">Give it up…</button>
    <form v-else novalidate @submit.prevent="form.submit">
      <Field v-if="!who" v-slot="{ bind }" name="who" label="Who gives it up">
        <PersonField v-bind="bind" v-model="preferences.person" />
      </Field>
      <Field v-slot="{ bind }" name="why" label="Why it is given up">
        <BFormInput v-bind="bind" v-model="why" autocomplete="off" />
      </Field>
      <button type="submit" class="btn btn-plain" :disabled="form.busy">Give it up</button>
      <p v-if="form.rest" class="complaint mt-1 mb-0" role="alert">{{ form.rest }}</p>
    </form>
  </div>
</template>
