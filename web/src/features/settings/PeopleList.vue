<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { sentence, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import { toast } from '../../shared/toasts/toasts'

/** Who measures and signs. Nobody is deleted: a record names them for ever. */
const people = useQuery(() => queries.everybody())
const add = useWrite(writes.addPerson)
const change = useWrite(writes.changePerson)
const name = ref('')
const id = ref(newId())
const form = useForm({
  check: () => ({ name: !name.value.trim() && 'Give the name.' }),
  send: () => add.mutateAsync({ id: id.value, name: name.value }),
  done: (person) => `${person.name} can be chosen now.`,
  then: () => {
    name.value = ''
    id.value = newId()
  },
})
async function put(person: Schemas['PersonResponse'], archived: boolean) {
  try {
    await change.mutateAsync({ id: person.id, archived })
    toast(archived ? `${person.name} is not offered any more.` : `${person.name} can be chosen again.`, () =>
      change.mutateAsync({ id: person.id, archived: !archived }),
    )
  } catch (caught) {
    toast(sentence(caught))
  }
}
</script>

<template>
  <section class="plate p-3">
    <h2>People</h2>
    <p class="small soft">Offered wherever somebody measures, sets or signs.</p>
    <ul class="plain-list">
      <li v-for="p in people.data.value ?? []" :key="p.id">
        <span :class="{ soft: p.archived }">{{ p.name }}{{ p.archived ? ', archived' : '' }}</span>
        <RouterLink class="ms-auto" :to="{ name: 'hand', params: { id: p.id } }" :aria-label="`${p.name}’s hand`"
          >hand</RouterLink
        >
        <button
          type="button"
          class="btn btn-plain"
          :aria-label="`${p.archived ? 'Offer again' : 'Archive'}: ${p.name}`"
          @click="put(p, !p.archived)"
        >
          {{ p.archived ? 'Offer again' : 'Archive' }}
        </button>
      </li>
    </ul>
    <form novalidate class="mt-2" @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="name" label="Somebody new">
        <BFormInput v-bind="bind" v-model="name" autocomplete="off" />
      </Field>
      <FormEnd>Add</FormEnd>
    </form>
  </section>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  padding: 0.2rem 0;
  border-top: 1px solid var(--hairline);
}
</style>
