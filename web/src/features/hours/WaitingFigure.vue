<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import HoursField from '../../shared/fields/HoursField.vue'
import { day } from '../../shared/figures/days'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { sourceWords } from '../../shared/words/hours'

/** One figure that cannot be right as it came: what speaks against it, and what can be done. */
const props = defineProps<{ figure: Schemas['WaitingFigure']; engines: Schemas['RoundLine'][] }>()
const decide = useWrite(writes.decideHours)
const doing = ref<'' | 'take' | 'meterReplaced' | 'setAside'>('')
const f = props.figure
const typed = reactive({
  engineId: f.engineId ?? '',
  date: f.date ?? '',
  hours: String(f.perhapsHours ?? f.hours ?? ''),
  old: f.lastHours != null ? String(f.lastHours) : '',
  why: '',
})
/** A machine the yard did not know is known by that name from now on. */
const remember = ref(f.doubt === 'unknownMachine')
const canTake = computed(() => f.doubt !== 'cutOff')
const form = useForm({
  check: () =>
    doing.value === 'setAside'
      ? { why: !typed.why.trim() && 'Say why it is set aside.' }
      : {
          engineId: !typed.engineId && 'Choose the engine.',
          hours: notHours(typed.hours) ?? (!typed.hours.trim() && 'Give what the meter shows.'),
          oldMeterShows: doing.value === 'meterReplaced' && notHours(typed.old),
        },
  send: () =>
    decide.mutateAsync(
      doing.value === 'setAside'
        ? { waitingId: f.id, decision: 'setAside', why: typed.why }
        : {
            waitingId: f.id,
            decision: doing.value,
            engineId: typed.engineId,
            date: typed.date || null,
            hours: typedHours(typed.hours) ?? null,
            oldMeterShows: doing.value === 'meterReplaced' ? (typedHours(typed.old) ?? null) : null,
            remember: remember.value && f.doubt === 'unknownMachine',
          },
    ),
  done: () => (doing.value === 'setAside' ? 'Set aside.' : 'Taken into the meter.'),
})
/** One of the two figures it could be, taken as it is said. */
async function takeAs(hours: number) {
  doing.value = 'take'
  typed.hours = String(hours)
  await form.submit()
}
</script>

<template>
  <article class="figure-waits">
    <p class="mb-1">
      <strong>{{ f.engine ?? f.machine }}</strong><template v-if="f.date">, {{ day(f.date) }}</template> ·
      {{ sourceWords[f.source] ?? f.source }}
      <span class="figure d-block small soft written">{{ f.written }}</span>
    </p>
    <p class="mb-2">{{ f.sentence }}</p>
    <div v-if="!doing" class="d-flex gap-2 flex-wrap">
      <template v-if="f.engineId">
        <BButton v-for="way in f.ways ?? []" :key="way" class="btn-plain" @click="takeAs(way)"
          >It is {{ way }} h</BButton
        >
      </template>
      <BButton v-if="canTake" class="btn-plain" @click="doing = 'take'">Put it right…</BButton>
      <BButton v-if="f.doubt === 'backwards'" class="btn-plain" @click="doing = 'meterReplaced'"
        >The meter was replaced…</BButton
      >
      <BButton class="btn-plain" @click="doing = 'setAside'">Set aside…</BButton>
    </div>
    <form v-else novalidate class="decision" @submit.prevent="form.submit">
      <template v-if="doing === 'setAside'">
        <Field v-slot="{ bind }" name="why" label="Why">
          <BFormInput v-bind="bind" v-model="typed.why" autocomplete="off" />
        </Field>
      </template>
      <template v-else>
        <Field v-slot="{ bind }" name="engineId" label="Engine">
          <BFormSelect v-bind="bind" v-model="typed.engineId">
            <option value="">choose…</option>
            <option v-for="e in engines" :key="e.engineId" :value="e.engineId">{{ e.engine }}</option>
          </BFormSelect>
        </Field>
        <Field v-slot="{ bind }" name="date" label="Read on"><DayField v-bind="bind" v-model="typed.date" /></Field>
        <Field
          v-slot="{ bind }"
          name="hours"
          :label="doing === 'meterReplaced' ? 'The new meter shows' : 'The meter shows'"
        >
          <HoursField v-bind="bind" v-model="typed.hours" />
        </Field>
        <Field v-if="doing === 'meterReplaced'" v-slot="{ bind }" name="oldMeterShows" label="The old one ended at">
          <HoursField v-bind="bind" v-model="typed.old" />
        </Field>
        <label v-if="f.doubt === 'unknownMachine'" class="check">
          <input v-model="remember" type="checkbox" /> {{ f.machine }} is this engine from now on
        </label>
      </template>
      <div class="d-flex gap-2">
        <BButton class="btn-plain" @click="doing = ''">Not yet</BButton>
        <FormEnd>{{ doing === 'setAside' ? 'Set it aside' : 'Take it' }}</FormEnd>
      </div>
    </form>
  </article>
</template>

<style scoped>
.figure-waits {
  border-top: 1px solid var(--hairline);
  padding: 0.7rem 0;
}
.written {
  overflow-wrap: anywhere;
}
.decision {
  max-width: 560px;
}
.check {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
</style>
