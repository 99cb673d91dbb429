<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'

/** Where machines stand; each may have its own time zone. New ones come with the first engine there. */
const sites = useQuery(() => queries.sites())
const change = useWrite(writes.changeSite)
const chosen = ref<string | null>(null)
const typed = reactive({ name: '', timeZone: '' })
function choose(site: Schemas['SiteResponse']) {
  chosen.value = site.id
  Object.assign(typed, { name: site.name, timeZone: site.timeZone ?? '' })
  form.clear()
}
const form = useForm({
  check: () => ({ name: !typed.name.trim() && 'Give the site a name.' }),
  send: () => change.mutateAsync({ siteId: chosen.value!, name: typed.name, timeZone: typed.timeZone || null }),
  done: (site) => `${site.name}: changed.`,
  then: () => (chosen.value = null),
})
</script>

<template>
  <section class="plate p-3">
    <h2>Sites</h2>
    <p class="small soft">Where machines stand. A site’s own time zone says what is today there.</p>
    <ul class="plain-list">
      <li v-for="s in sites.data.value ?? []" :key="s.id">
        <div class="ends">
          <span
            >{{ s.name }}<span v-if="s.timeZone" class="soft"> · {{ s.timeZone }}</span></span
          >
          <button type="button" class="btn btn-plain" :aria-label="`Change ${s.name}`" @click="choose(s)">
            Change
          </button>
        </div>
        <form v-if="chosen === s.id" novalidate class="mt-1" @submit.prevent="form.submit">
          <Field v-slot="{ bind }" name="name" label="Name"><BFormInput v-bind="bind" v-model="typed.name" /></Field>
          <Field v-slot="{ bind }" name="timeZone" label="Time zone, if not the fleet’s">
            <BFormInput v-bind="bind" v-model="typed.timeZone" list="zones" />
          </Field>
          <FormEnd>Save</FormEnd>
        </form>
      </li>
    </ul>
    <p v-if="sites.data.value?.length === 0" class="mb-0">No site yet: the first engine brings its own.</p>
  </section>
</template>

<style scoped>
li {
  padding: 0.2rem 0;
  border-top: 1px solid var(--hairline);
}
</style>
