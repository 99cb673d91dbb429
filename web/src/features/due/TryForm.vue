<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { counted, form as formOf } from '../../shared/words/counts'
import { ruleWords } from '../../shared/words/due'
import { percent } from '../../shared/words/odds'

/** What would move if the engines ran more or less, or a burnt valve cost more: tried, not kept. */
defineProps<{ risk: number }>()
const attempt = useWrite(writes.tryDue)
const typed = reactive({ usage: '1', cost: '', risk: '' })
const moved = ref<Schemas['TriedEngine'][] | null>(null)
const form = useForm({
  check: () => ({}),
  send: () =>
    attempt.mutateAsync({
      usageFactor: Number(typed.usage),
      breachCost: typed.cost ? Number(typed.cost) : null,
      risk: typed.risk ? Number(typed.risk) : null,
    }),
  then: (answer) => {
    moved.value = answer
  },
})
const when = (a: Schemas['DueAnswerResponse']) => `${ruleWords[a.rule]} ${a.date ? day(a.date) : ''}`.trim()
</script>

<template>
  <form class="plate p-3" novalidate aria-label="Try it" @submit.prevent="form.submit">
    <h2>What if…</h2>
    <div class="tries">
      <Field v-slot="{ bind }" name="usageFactor" label="They run">
        <BFormSelect v-bind="bind" v-model="typed.usage">
          <option value="0.5">half as much</option>
          <option value="1">as now</option>
          <option value="1.5">half as much again</option>
          <option value="2">twice as much</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" name="breachCost" label="A burnt valve costs">
        <BFormSelect v-bind="bind" v-model="typed.cost">
          <option value="">as set</option>
          <option value="10">ten overheads</option>
          <option value="20">twenty overheads</option>
          <option value="40">forty overheads</option>
        </BFormSelect>
      </Field>
      <Field v-slot="{ bind }" name="risk" label="Warn of drift at">
        <BFormSelect v-bind="bind" v-model="typed.risk">
          <option value="">{{ percent(risk) }}, as set</option>
          <option value="0.02">{{ percent(0.02) }}</option>
          <option value="0.1">{{ percent(0.1) }}</option>
        </BFormSelect>
      </Field>
      <div class="end"><FormEnd busy-word="Working it out…">Try it</FormEnd></div>
    </div>
    <div v-if="moved" role="status">
      <p class="mb-1">
        <strong v-if="moved.length">
          {{ counted(moved.length) }} {{ formOf(moved.length, 'engine would move', 'engines would move') }}; nothing is
          kept.
        </strong>
        <strong v-else>Nothing would move.</strong>
      </p>
      <ul class="mb-0">
        <li v-for="m in moved" :key="m.engineId">
          {{ m.name }}: {{ when(m.before) }} → <strong>{{ when(m.after) }}</strong>
        </li>
      </ul>
    </div>
  </form>
</template>

<style scoped>
.tries {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 0 1rem;
  align-items: end;
}
.end {
  margin-bottom: 1rem;
}
</style>
