<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { sentence } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { moment } from '../../shared/figures/days'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { toast } from '../../shared/toasts/toasts'

/** The address a telematics document is asked from, and what came of it. */
const feed = useQuery(() => queries.hoursFeed())
const change = useWrite(writes.changeFeed)
const ask = useWrite(writes.askFeed)
const typed = reactive({ address: '', every: '60', touched: false })
// News of the feed never resets what is being typed.
watch(
  () => feed.data.value,
  (now) => {
    if (now && !typed.touched) Object.assign(typed, { address: now.address ?? '', every: String(now.everyMinutes) })
  },
  { immediate: true },
)
const form = useForm({
  check: () => ({ everyMinutes: notANumber(typed.every) }),
  send: () => change.mutateAsync({ address: typed.address || null, everyMinutes: typedNumber(typed.every) ?? 60 }),
  done: (now) => (now.address ? 'It is asked from now on.' : 'Nothing is asked any more.'),
  then: () => (typed.touched = false),
})
const touch = () => {
  typed.touched = true
}
async function askNow() {
  try {
    toast((await ask.mutateAsync(undefined)).said ?? 'Nothing to ask.')
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <form class="plate p-3" novalidate aria-label="From a feed" @submit.prevent="form.submit" @input="touch">
    <h2>From a feed</h2>
    <p class="small soft">
      Cumulative operating hours of the whole fleet, as machines’ makers give them (a document as in ISO 15143-3, XML or
      JSON). Machines are known by serial number, name or registration.
    </p>
    <Field
      v-slot="{ bind }"
      name="address"
      label="Feed address (optional)"
      hint="The whole of it, with https in front."
    >
      <BFormInput v-bind="bind" v-model="typed.address" type="url" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="everyMinutes" label="Asked every">
      <NumberField v-bind="bind" v-model="typed.every" unit="min" />
    </Field>
    <p v-if="feed.data.value?.askedAt" class="small">
      Asked {{ moment(feed.data.value.askedAt) }}: {{ feed.data.value.said }}
    </p>
    <div class="d-flex gap-2">
      <BButton class="btn-plain text-nowrap" :disabled="!feed.data.value?.address" @click="askNow">Ask now</BButton>
      <FormEnd>Save</FormEnd>
    </div>
  </form>
</template>
