<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { reactive } from 'vue'
import { useSend } from '../../../offline/useSend'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'
import { usePreferences } from '../../../shared/preferences'
import { form as grammar, plural } from '../../../shared/words/counts'

/** What came in after the signature counts for nothing until somebody takes it in, with a reason. */
const props = defineProps<{ visitId: string; late: string[] }>()
const preferences = usePreferences()
const send = useSend()
const typed = reactive({ why: '' })
const form = useForm({
  check: () => ({
    by: !preferences.person && 'Choose who takes them in.',
    why: !typed.why.trim() && 'Say why they belong to this visit.',
  }),
  send: () =>
    send.mutateAsync({
      visitId: props.visitId,
      by: preferences.person,
      entries: [{ kind: 'admitted', entries: props.late, why: typed.why.trim() }],
    }),
  done: () => `${plural(props.late.length, 'late entry', 'late entries')} taken in.`,
})
</script>

<template>
  <section class="plate p-3 no-print">
    <h2>{{ plural(late.length, 'entry', 'entries') }} came in after signing</h2>
    <p class="small soft">
      {{ grammar(late.length, 'It counts', 'They count') }} for nothing until somebody takes
      {{ grammar(late.length, 'it', 'them') }} in.
    </p>
    <form class="row g-2" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" class="col-md-4" name="by" label="Who takes them in">
        <PersonField v-bind="bind" v-model="preferences.person" />
      </Field>
      <Field v-slot="{ bind }" class="col-md-4" name="why" label="Why">
        <BFormInput v-bind="bind" v-model="typed.why" />
      </Field>
      <div class="col-md-4 pt-4"><FormEnd>Take in</FormEnd></div>
    </form>
  </section>
</template>
