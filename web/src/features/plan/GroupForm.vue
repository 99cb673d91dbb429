<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** Engines of which only so many may be out at once; a new group, or one changed. */
const props = defineProps<{ group?: Schemas['GroupResponse'] }>()
const yard = useQuery(() => queries.yard())
const put = useWrite(writes.putGroup)
const open = ref(false)
const typed = reactive({ id: '', name: '', mostOut: '1', engineIds: [] as string[] })
function edit() {
  Object.assign(typed, {
    id: props.group?.id ?? newId(),
    name: props.group?.name ?? '',
    mostOut: String(props.group?.mostOut ?? 1),
    engineIds: [...(props.group?.engineIds ?? [])],
  })
  open.value = true
}
const engines = computed(() => yard.data.value?.engines ?? [])
const names = computed(() =>
  engines.value
    .filter((e) => props.group?.engineIds.includes(e.engineId))
    .map((e) => e.name)
    .join(', '),
)
const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give the group a name.',
    mostOut: notANumber(typed.mostOut),
  }),
  send: () =>
    put.mutateAsync({
      id: typed.id,
      name: typed.name,
      mostOut: typedNumber(typed.mostOut) ?? 1,
      engineIds: typed.engineIds,
    }),
  done: () => 'Saved. Press Plan again.',
  then: () => (open.value = false),
})
</script>

<template>
  <div>
    <div v-if="group" class="ends ruled">
      <span
        >{{ group.name }}: at most {{ group.mostOut }} out <span class="small soft d-block">{{ names }}</span></span
      >
      <button type="button" class="btn btn-plain text-nowrap" :aria-label="`Change ${group.name}`" @click="edit">
        Change
      </button>
    </div>
    <button v-else-if="!open" type="button" class="btn btn-plain" @click="edit">Add a group…</button>
    <form v-if="open" novalidate @submit.prevent="form.submit">
      <Field v-slot="{ bind }" name="name" label="The group">
        <BFormInput v-bind="bind" v-model="typed.name" autocomplete="off" />
      </Field>
      <Field v-slot="{ bind }" name="mostOut" label="Out at once, at most">
        <NumberField v-bind="bind" v-model="typed.mostOut" />
      </Field>
      <fieldset>
        <legend class="form-label">Its engines</legend>
        <label v-for="e in engines" :key="e.engineId" class="engine">
          <input v-model="typed.engineIds" type="checkbox" :value="e.engineId" /> {{ e.name }}
        </label>
      </fieldset>
      <FormEnd>Save</FormEnd>
    </form>
  </div>
</template>

<style scoped>
.engine {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 40px;
}
</style>
