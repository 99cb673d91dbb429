<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { sentence } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import { useFormState } from '../forms/useForm'

/** Who it is: chosen from the people of the fleet, or added here once. The value is the person's identifier. */
const person = defineModel<string>({ required: true })
const props = defineProps<{ label?: string }>()
defineOptions({ inheritAttrs: false })
const people = useQuery(() => queries.people())
const addPerson = useWrite(writes.addPerson)
const form = useFormState()
const adding = ref(false)
const name = ref('')
const failure = ref<unknown>()
const id = ref(newId())
const box = useTemplateRef<HTMLElement>('box')
const isEmpty = computed(() => people.data.value?.length === 0)
// Somebody who was put away since is not chosen any more.
watch(
  () => people.data.value,
  (all) => {
    if (all && person.value && !all.some((p) => p.id === person.value)) person.value = ''
  },
)

async function choose(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  if (value !== 'new') {
    person.value = value
    return
  }
  adding.value = true
  await nextTick()
  box.value?.querySelector('input')?.focus()
}
async function add() {
  if (!name.value.trim() || addPerson.isPending.value) return
  failure.value = undefined
  try {
    const made = await addPerson.mutateAsync({ id: id.value, name: name.value })
    person.value = made.id
    adding.value = false
    name.value = ''
    id.value = newId()
  } catch (caught) {
    failure.value = caught
  }
}
/** A name typed and not added yet is added as the field is left: nobody types it twice. */
function leave() {
  if (name.value.trim()) {
    const work = add()
    form?.waitFor(work)
  } else if (!isEmpty.value) adding.value = false
}
</script>

<template>
  <div ref="box">
    <BFormInput
      v-if="adding || (isEmpty && !person)"
      v-bind="$attrs"
      v-model="name"
      autocomplete="name"
      placeholder="name"
      :aria-label="props.label"
      @keydown.enter.prevent="add"
      @blur="leave"
    />
    <select v-else v-bind="$attrs" class="form-select" :aria-label="props.label" :value="person" @change="choose">
      <option value="" disabled>choose…</option>
      <option v-for="p in people.data.value ?? []" :key="p.id" :value="p.id">{{ p.name }}</option>
      <option value="new">somebody else…</option>
    </select>
    <p v-if="failure" class="complaint mb-0 mt-1" role="alert">{{ sentence(failure) }}</p>
  </div>
</template>
