<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, reactive } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { percent } from '../../shared/words/odds'

/** What holds for the whole fleet, on every machine. */
const props = defineProps<{ fleet: Schemas['FleetSettings'] }>()
const change = useWrite(writes.changeFleet)
const typed = reactive({
  name: props.fleet.name ?? '',
  timeZone: props.fleet.timeZone ?? '',
  risk: String((props.fleet.risk ?? 0.05) * 100),
  tight: String(props.fleet.toleranceTightMm ?? ''),
  loose: String(props.fleet.toleranceLooseMm ?? ''),
  feel: String(props.fleet.feelSdMm ?? ''),
  breach: String(props.fleet.breachCost ?? 20),
  plain: props.fleet.plainRisk ?? false,
})
const risk = computed(() => (typedNumber(typed.risk) ?? Number.NaN) / 100)
const chance = computed(() => (risk.value > 0 && risk.value < 1 ? percent(risk.value) : ''))
// One fleet of fifty engines makes the number something to picture.
const riskHint = computed(() =>
  chance.value
    ? `${chance.value}: of twenty engines run up to it, ${Math.max(1, Math.round(risk.value * 20)) === 1 ? 'one has' : `${Math.round(risk.value * 20)} have`} a valve out of its window. A ferry may want 2 %, a mower 10 %.`
    : 'The chance that some valve of an engine stands out of its window.',
)
const zones = Intl.supportedValuesOf?.('timeZone') ?? []
const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give the fleet a name.',
    risk: notANumber(typed.risk) ?? (!chance.value && 'Give a chance between 0 and 100 %, such as 5.'),
    toleranceTightMm: notANumber(typed.tight),
    toleranceLooseMm: notANumber(typed.loose),
    feelSdMm: notANumber(typed.feel),
    breachCost: notANumber(typed.breach),
  }),
  send: () =>
    change.mutateAsync({
      name: typed.name,
      timeZone: typed.timeZone || null,
      risk: risk.value,
      toleranceTightMm: typedNumber(typed.tight) ?? null,
      toleranceLooseMm: typedNumber(typed.loose) ?? null,
      feelSdMm: typedNumber(typed.feel) ?? null,
      breachCost: typedNumber(typed.breach) ?? null,
      plainRisk: typed.plain,
    }),
  done: () => 'The fleet’s settings are changed.',
})
</script>

<template>
  <section class="plate p-3">
    <h2>The fleet</h2>
    <p class="small soft">On every machine, for everybody.</p>
    <form novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="name" label="Name" hint="Over the yard, and in the title of its tab.">
        <BFormInput v-bind="bind" v-model="typed.name" />
      </Field>
      <Field v-slot="{ bind }" name="timeZone" label="Time zone" hint="What is today; a site may have its own.">
        <BFormInput v-bind="bind" v-model="typed.timeZone" list="zones" />
        <datalist id="zones"><option v-for="z in zones" :key="z" :value="z" /></datalist>
      </Field>
      <Field v-slot="{ bind }" name="risk" label="Warn of drift at" :hint="riskHint">
        <NumberField v-bind="bind" v-model="typed.risk" unit="%" />
      </Field>
      <Field
        v-slot="{ bind }"
        name="breachCost"
        label="A burnt valve costs as much as"
        hint="Weighed against the work of opening early: at 20, an engine is worth opening once waiting another month costs more than it saves. Higher opens earlier."
      >
        <NumberField v-bind="bind" v-model="typed.breach" unit="overheads" />
      </Field>
      <BFormCheckbox v-model="typed.plain" class="mb-3">
        Let the risk alone decide, whatever opening and waiting cost
      </BFormCheckbox>
      <div class="two-columns">
        <Field v-slot="{ bind }" name="toleranceTightMm" label="Tolerance, tight side">
          <NumberField v-bind="bind" v-model="typed.tight" unit="mm" placeholder="0.025" />
        </Field>
        <Field v-slot="{ bind }" name="toleranceLooseMm" label="Tolerance, loose side">
          <NumberField v-bind="bind" v-model="typed.loose" unit="mm" placeholder="0.025" />
        </Field>
      </div>
      <p class="small soft">
        Where a book gives one figure and no tolerance, this makes its window; it says so wherever it is shown.
      </p>
      <Field
        v-slot="{ bind }"
        name="feelSdMm"
        label="Feel repeats within"
        hint="How far the same hand strays on the same gap, as a standard deviation. It stands behind every bladed figure of visits opened from now on."
      >
        <NumberField v-bind="bind" v-model="typed.feel" unit="mm" placeholder="0.005" />
      </Field>
      <FormEnd>Save</FormEnd>
    </form>
  </section>
</template>
