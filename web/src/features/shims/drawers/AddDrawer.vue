<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { queries } from '../../../api/queries'
import { useWrite, writes } from '../../../api/writes'
import Field from '../../../shared/fields/Field.vue'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'
import { drawerKinds } from '../../../shared/words/shims'

const props = defineProps<{ none: boolean }>()
const emit = defineEmits<{ added: [id: string] }>()
const sites = useQuery(() => queries.sites())
const add = useWrite(writes.addShimDrawer)
const open = ref(props.none)
const typed = reactive({ id: newId(), name: '', site: '', kind: 'kit' as Schemas['ShimDrawerKind'] })
const form = useForm({
  check: () => ({
    name: !typed.name.trim() && 'Give the drawer a name.',
    site: !typed.site && 'Say where it is kept.',
  }),
  send: () => add.mutateAsync(typed),
  done: (made) => `${made.name} is there; count in what lies in it.`,
  then: (made) => {
    Object.assign(typed, { id: newId(), name: '' })
    open.value = false
    emit('added', made.id)
  },
})
</script>

<template>
  <button v-if="!open" type="button" class="btn btn-plain" @click="open = true">Add a drawer…</button>
  <form v-else class="plate p-3 add" novalidate aria-label="A new drawer" @submit.prevent="form.submit">
    <Field v-slot="{ bind }" name="name" label="What it is called">
      <BFormInput v-bind="bind" v-model="typed.name" autocomplete="off" />
    </Field>
    <Field v-slot="{ bind }" name="kind" label="What it is">
      <select v-bind="bind" v-model="typed.kind" class="form-select">
        <option v-for="(name, key) in drawerKinds" :key="key" :value="key">{{ name }}</option>
      </select>
    </Field>
    <Field v-slot="{ bind }" name="site" label="Where it is kept">
      <select v-bind="bind" v-model="typed.site" class="form-select">
        <option value="" disabled>choose…</option>
        <option v-for="s in sites.data.value ?? []" :key="s.id" :value="s.name">{{ s.name }}</option>
      </select>
    </Field>
    <FormEnd>Add it</FormEnd>
  </form>
</template>

<style scoped>
.add {
  width: min(100%, 360px);
}
</style>
