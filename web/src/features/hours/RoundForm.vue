<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { day, today } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTyped } from '../../shared/forms/useTyped'
import { plural } from '../../shared/words/counts'

/** A walk past many meters: type what each shows, Enter goes to the next, and all are taken at once. */
const props = defineProps<{ lines: Schemas['RoundLine'][] }>()
const take = useWrite(writes.takeRound)
/** Survives a reload. What was typed keeps its identifier until it stands, so that nothing is taken twice. */
const { typed } = useTyped('round', {
  date: '',
  who: '',
  figures: {} as Record<string, string>,
  ids: {} as Record<string, string>,
})
const list = ref<HTMLElement>()
const filled = computed(() => props.lines.filter((l) => typed.figures[l.engineId]?.trim()))
const sites = computed(() => [...new Set(props.lines.map((l) => l.site))])
const form = useForm({
  check: () => ({
    readings: filled.value.length === 0 && 'Type what at least one meter shows.',
    ...Object.fromEntries(filled.value.map((l) => [l.engineId, notHours(typed.figures[l.engineId]!)])),
  }),
  send: () =>
    take.mutateAsync({
      date: typed.date || today(),
      who: typed.who || null,
      readings: filled.value.map((l) => ({
        id: (typed.ids[l.engineId] ??= newId()),
        engineId: l.engineId,
        hours: typedHours(typed.figures[l.engineId]!) ?? null,
      })),
    }),
  done: (report) =>
    report.waiting
      ? `${plural(report.taken, 'figure')} taken; ${plural(report.waiting, 'figure')} to be decided above.`
      : `${plural(report.taken, 'figure')} taken.`,
  then: () => {
    typed.date = ''
    for (const line of props.lines) {
      delete typed.figures[line.engineId]
      delete typed.ids[line.engineId]
    }
  },
})
function next(event: KeyboardEvent) {
  const fields = [...(list.value?.querySelectorAll<HTMLInputElement>('input') ?? [])]
  fields[fields.indexOf(event.target as HTMLInputElement) + 1]?.focus()
}
</script>

<template>
  <form class="plate p-3" novalidate aria-label="The round" @submit.prevent="form.submit">
    <h2>The round</h2>
    <p class="small soft">Type what each meter shows; Enter goes to the next. Leave out what you did not pass.</p>
    <div class="two-columns">
      <Field v-slot="{ bind }" name="date" label="Read on, if not today">
        <DayField v-bind="bind" v-model="typed.date" />
      </Field>
      <Field v-slot="{ bind }" name="who" label="Who walked it">
        <BFormInput v-bind="bind" v-model="typed.who" autocomplete="off" />
      </Field>
    </div>
    <div ref="list">
      <template v-for="site in sites" :key="site">
        <h3 class="caps">{{ site }}</h3>
        <div v-for="l in lines.filter((x) => x.site === site)" :key="l.engineId" class="line">
          <label :for="`round-${l.engineId}`">
            {{ l.engine }}
            <span class="small soft d-block">
              <template v-if="l.lastHours != null"
                >{{ hours(l.lastHours) }} h on {{ day(l.lastDate)
                }}<template v-if="l.expectedHours != null">, about {{ hours(l.expectedHours) }} now</template></template
              ><template v-else>never read</template>
            </span>
          </label>
          <span class="shown">
            <input
              :id="`round-${l.engineId}`"
              v-model="typed.figures[l.engineId]"
              class="form-control figure"
              inputmode="decimal"
              autocomplete="off"
              :aria-invalid="!!form.complaint(l.engineId)"
              @keydown.enter.prevent="next"
            />
            <span class="soft">h</span>
          </span>
          <span v-if="form.complaint(l.engineId)" class="complaint">{{ form.complaint(l.engineId) }}</span>
        </div>
      </template>
    </div>
    <p v-if="!lines.length" class="mb-2">No engine in the yard yet.</p>
    <FormEnd :disabled="!lines.length">Take {{ filled.length ? plural(filled.length, 'figure') : 'them' }}</FormEnd>
  </form>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 11rem;
  align-items: center;
  gap: 0 1rem;
  padding: 0.25rem 0;
  border-top: 1px solid var(--hairline);
}
.line .complaint {
  grid-column: 1 / -1;
}
.shown {
  display: flex;
  gap: 0.4rem;
  align-items: center;
}
.shown input {
  min-height: 44px;
  text-align: right;
}
h3 {
  margin: 0.8rem 0 0.2rem;
}
@media (max-width: 600px) {
  .line {
    grid-template-columns: minmax(0, 1fr) 8.5rem;
  }
}
</style>
