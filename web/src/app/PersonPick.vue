<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref, watch } from 'vue'
import { answer, api, Refusal, sentence } from '../api/client'
import { newId } from '../api/newId'

/** Who it is: chosen from the people of the fleet, or added here once. */
const person = defineModel<string>({ required: true })
const props = defineProps<{ id?: string; label?: string }>()
const client = useQueryClient()
const people = useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')) })
const adding = ref(false)
const name = ref('')
const failure = ref<unknown>()
const added = ref(newId())
const isKnown = computed(() => !people.data.value || people.data.value.some((p) => p.id === person.value))
// Somebody who was put away since is not chosen any more.
watch(isKnown, (known) => {
  if (!known) person.value = ''
})
const complaint = computed(() =>
  failure.value ? (failure.value instanceof Refusal ? failure.value.message : sentence(failure.value)) : '',
)

function choose(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  if (value === 'new') adding.value = true
  else person.value = value
}
async function add() {
  failure.value = undefined
  try {
    const made = await answer(api.POST('/api/people', { body: { id: added.value, name: name.value } }))
    await client.invalidateQueries({ queryKey: ['people'] })
    person.value = made.id
    adding.value = false
    name.value = ''
    added.value = newId()
  } catch (caught) {
    failure.value = caught
  }
}
</script>

<template>
  <div class="pick">
    <select
      v-if="!adding"
      :id="props.id"
      class="form-select"
      :aria-label="props.id ? undefined : (props.label ?? 'Who')"
      :value="person"
      @change="choose"
    >
      <option value="" disabled>choose…</option>
      <option v-for="p in people.data.value ?? []" :key="p.id" :value="p.id">{{ p.name }}</option>
      <option value="new">somebody else…</option>
    </select>
    <div v-else class="d-flex gap-2">
      <BFormInput
        :id="props.id"
        v-model="name"
        autocomplete="name"
        placeholder="name"
        aria-label="Name"
        autofocus
        @keydown.enter.prevent="add"
      />
      <button type="button" class="btn btn-plain" :disabled="!name.trim()" @click="add">Add</button>
    </div>
    <p v-if="complaint" class="complaint mb-0 mt-1">{{ complaint }}</p>
  </div>
</template>
