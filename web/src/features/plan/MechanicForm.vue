<script setup lang="ts">
import { reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { machineNames } from '../../shared/words/machines'

/** Somebody's week and the machines they work on; no hours at all is somebody who is not planned. */
const props = defineProps<{ person: Schemas['PersonResponse']; plan: Schemas['PlanResponse'] }>()
const change = useWrite(writes.changeMechanic)
const open = ref(false)
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const known = () => props.plan.people.find((p) => p.id === props.person.id)
const typed = reactive({ week: [] as string[], skills: [] as Schemas['MachineKind'][] })
function edit() {
  const now = known()
  typed.week = (now?.weekHours ?? [8, 8, 8, 8, 8, 0, 0]).map(String)
  typed.skills = [...((now?.skills ?? []) as Schemas['MachineKind'][])]
  open.value = true
}
const form = useForm({
  check: () => ({ weekHours: typed.week.map((h) => notANumber(h)).find(Boolean) }),
  send: () =>
    change.mutateAsync({
      personId: props.person.id,
      skills: typed.skills,
      weekHours: typed.week.map((h) => typedNumber(h) ?? 0),
    }),
  done: () => 'Saved. Press Plan again.',
  then: () => (open.value = false),
})
const week = () => known()?.weekHours.reduce((sum, h) => sum + h, 0)
</script>

<template>
  <div class="ruled">
    <div class="ends">
      <span>
        {{ person.name }}
        <span class="small soft">
          {{
            known()
              ? `${week()} h a week; ${
                  known()!
                    .skills.map((s) => machineNames[s as Schemas['MachineKind']].toLowerCase())
                    .join(', ') || 'any machine'
                }`
              : 'not planned'
          }}
        </span>
      </span>
      <button
        type="button"
        class="btn btn-plain text-nowrap"
        :aria-label="`Change the week of ${person.name}`"
        @click="edit"
      >
        Change
      </button>
    </div>
    <form v-if="open" novalidate @submit.prevent="form.submit">
      <div class="week">
        <label v-for="(d, i) in days" :key="d">
          {{ d }}
          <input v-model="typed.week[i]" class="form-control figure" inputmode="decimal" />
        </label>
      </div>
      <p v-if="form.complaint('weekHours')" class="complaint">{{ form.complaint('weekHours') }}</p>
      <fieldset>
        <legend class="form-label">Works on</legend>
        <label v-for="(name, kind) in machineNames" :key="kind" class="skill">
          <input v-model="typed.skills" type="checkbox" :value="kind" /> {{ name }}
        </label>
      </fieldset>
      <FormEnd>Save</FormEnd>
    </form>
  </div>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 4px;
  font-size: 13px;
}
.week input {
  padding: 0.3rem;
  min-height: 44px;
}
.skill {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
  min-height: 44px;
  margin-right: 1rem;
}
</style>
