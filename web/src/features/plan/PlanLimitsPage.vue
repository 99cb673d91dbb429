<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import DayField from '../../shared/fields/DayField.vue'
import Field from '../../shared/fields/Field.vue'
import { day } from '../../shared/figures/days'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import Loaded from '../../shared/loaded/Loaded.vue'
import { toast } from '../../shared/toasts/toasts'
import GroupForm from './GroupForm.vue'
import MechanicForm from './MechanicForm.vue'
import RoadForm from './RoadForm.vue'
import ToolForm from './ToolForm.vue'

/** Limits of the plan: who works when and on what, who and what is away, groups, tools, roads. */
const asked = useQuery(() => queries.plan())
const plan = computed(() => asked.data.value)
const people = useQuery(() => queries.people())
const machines = useQuery(() => queries.machines())
const addAway = useWrite(writes.addAway)
const removeAway = useWrite(writes.removeAway)
const typed = reactive({ id: newId(), whom: '', from: '', to: '', why: '', laidUp: false })
const form = useForm({
  check: () => ({
    personId: !typed.whom && 'Choose a person or a machine.',
    from: !typed.from && 'Give the first day.',
    why: !typed.why.trim() && 'Say why, such as leave, harvest or voyage.',
  }),
  send: () => {
    const [kind, id] = typed.whom.split('/')
    return addAway.mutateAsync({
      id: typed.id,
      ...(kind === 'person' ? { personId: id } : { machineId: id }),
      from: typed.from,
      to: typed.to || null,
      why: typed.why,
      laidUp: kind === 'machine' && typed.laidUp,
    })
  },
  done: () => 'Saved. Press Plan again.',
  then: () => Object.assign(typed, { id: newId(), whom: '', from: '', to: '', why: '', laidUp: false }),
})
async function back(a: Schemas['AwayResponse']) {
  await removeAway.mutateAsync(a.id)
  toast(`${a.who} is there again.`)
}
/** 1 h 15 min. */
const road = (h: number) =>
  [Math.floor(h) ? `${Math.floor(h)} h` : '', h % 1 ? `${Math.round((h % 1) * 60)} min` : ''].join(' ').trim() ||
  'no time'
</script>

<template>
  <Loaded :query="asked" what="plan">
    <main v-if="plan" class="page">
      <div class="page-head">
        <div>
          <h1>Limits of the plan</h1>
          <p class="soft small mb-0 mt-1">Who and what there is. Press Plan again when it has changed.</p>
        </div>
        <RouterLink class="btn btn-plain" :to="{ name: 'plan' }">‹ The plan</RouterLink>
      </div>
      <section class="plate p-3" aria-label="Limits of the plan">
        <h2>Who works when, and on what</h2>
        <MechanicForm v-for="p in people.data.value ?? []" :key="p.id" :person="p" :plan="plan" />
        <h2>Away or unavailable</h2>
        <ul class="plain-list">
          <li v-for="a in plan.away" :key="a.id" class="ends ruled">
            <span>
              {{ a.who }}: {{ day(a.from) }}<template v-if="a.to !== a.from"> to {{ day(a.to) }}</template
              >, {{ a.why }}{{ a.laidUp ? '; laid up, no hours are run' : '' }}
            </span>
            <button
              type="button"
              class="btn btn-plain text-nowrap"
              :aria-label="`Back: ${a.who}, ${a.why}`"
              @click="back(a)"
            >
              Back
            </button>
          </li>
        </ul>
        <form novalidate class="two-columns" @submit.prevent="form.submit">
          <Field v-slot="{ bind }" name="personId" label="Who or what">
            <BFormSelect v-bind="bind" v-model="typed.whom">
              <option value="">choose…</option>
              <option v-for="p in plan.people" :key="p.id" :value="`person/${p.id}`">{{ p.name }}</option>
              <option v-for="m in machines.data.value ?? []" :key="m.id" :value="`machine/${m.id}`">
                {{ m.name }}
              </option>
            </BFormSelect>
          </Field>
          <Field v-slot="{ bind }" name="why" label="Why">
            <BFormInput v-bind="bind" v-model="typed.why" autocomplete="off" />
          </Field>
          <Field v-slot="{ bind }" name="from" label="From"><DayField v-bind="bind" v-model="typed.from" /></Field>
          <Field v-slot="{ bind }" name="to" label="To"><DayField v-bind="bind" v-model="typed.to" /></Field>
          <label v-if="typed.whom.startsWith('machine/')" class="end ticked">
            <input v-model="typed.laidUp" type="checkbox" />
            Laid up: it stands still, can be worked on, and runs no hours
          </label>
          <div class="end"><FormEnd>Add</FormEnd></div>
        </form>
        <h2>Not all out at once</h2>
        <GroupForm v-for="g in plan.groups" :key="g.id" :group="g" />
        <GroupForm />
        <h2>Tools</h2>
        <ToolForm v-for="t in plan.tools" :key="t.id" :tool="t" />
        <ToolForm />
        <h2>Roads</h2>
        <p v-for="r in plan.roads" :key="r.fromId + r.toId" class="mb-1 small">
          {{ r.from }} to {{ r.to }}: {{ road(r.hours) }}
        </p>
        <RoadForm />
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
h2:not(:first-child) {
  margin: 1.2rem 0 0.4rem;
}
.end {
  grid-column: 1 / -1;
}
</style>
