<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { useWrite, writes } from '../../../api/writes'
import { call } from '../../../core/call'
import Field from '../../../shared/fields/Field.vue'
import NumberField from '../../../shared/fields/NumberField.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import { useMe } from '../../../shared/fields/useMe'
import { notANumber, typedNumber } from '../../../shared/figures/typedNumber'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import { useForm } from '../../../shared/forms/useForm'
import { useTyped } from '../../../shared/forms/useTyped'
import { usePreferences } from '../../../shared/preferences'
import { accessNames, knownBy, movementNames, size } from '../../../shared/words/shims'

/** Shims of one size: in, out, into another drawer, lapped, written off. */
const props = defineProps<{ drawer: Schemas['DrawerResponse']; others: Schemas['DrawerResponse'][] }>()
const preferences = usePreferences()
const move = useWrite(writes.moveShims)
const id = ref(newId())
const { typed, forget } = useTyped(`shims:${props.drawer.id}`, {
  kind: 'in' as Schemas['ShimMovementKind'],
  access: props.drawer.held[0]?.access ?? ('onTop' as Schemas['ShimAccess']),
  diameter: props.drawer.held[0]?.diameterMm != null ? String(props.drawer.held[0].diameterMm) : '',
  size: '',
  unit: 'mm',
  count: '1',
  knownBy: 'micrometer' as Schemas['ShimKnownBy'],
  toDrawer: '',
  toSize: '',
  why: '',
})
const me = useMe()
const who = computed(() => me() ?? '')
const takes = computed(() => typed.kind !== 'in' && typed.kind !== 'counted')
/** 27 may be 2.70, and 70 the last digits as they are called: asked about by the sizes that are kept here, never guessed. */
const means = ref<number[]>([])
watch(
  () => [typed.size, typed.unit, typed.access],
  async () => {
    means.value = []
    const written = typed.size.trim()
    const sizesMm = props.others.flatMap((d) => d.held.filter((h) => h.access === typed.access).map((h) => h.sizeMm))
    if (!written || typed.unit !== 'mm' || !sizesMm.length) return
    const read = await call('shim-mark', { written, sizesMm }).catch(() => null)
    if (read && read.mm == null && written === typed.size.trim()) means.value = read.offersMm
  },
  { immediate: true },
)
const form = useForm({
  check: () => ({
    size: !typed.size.trim()
      ? 'Give their thickness as it is stamped, like 2.70.'
      : means.value.length > 0 && `Say it whole: ${typed.size} could be ${means.value.map(size).join(' or ')}.`,
    count: notANumber(typed.count),
    toDrawer: typed.kind === 'moved' && !typed.toDrawer && 'Say which drawer they go to.',
    toSize: typed.kind === 'lapped' && !typed.toSize.trim() && 'Say how thick they are after lapping.',
    why: typed.kind === 'writtenOff' && !typed.why.trim() && 'Say why they are written off.',
    who: !who.value && 'Say who does it.',
  }),
  send: () =>
    move.mutateAsync({
      drawerId: props.drawer.id,
      id: id.value,
      kind: typed.kind,
      access: typed.access,
      diameterMm: typedNumber(typed.diameter) ?? undefined,
      size: typed.size,
      unit: typed.unit,
      count: typedNumber(typed.count) ?? 0,
      knownBy: takes.value ? undefined : typed.knownBy,
      toDrawer: typed.kind === 'moved' ? typed.toDrawer : undefined,
      toSize: typed.kind === 'lapped' ? typed.toSize : undefined,
      who: who.value,
      why: typed.why.trim() || undefined,
    }),
  done: () => `${movementNames[typed.kind]}: it stands in the ledger.`,
  then: () => {
    const kept = {
      kind: typed.kind,
      access: typed.access,
      diameter: typed.diameter,
      unit: typed.unit,
      knownBy: typed.knownBy,
    }
    forget()
    Object.assign(typed, { size: '', toSize: '', why: '', count: '1' }, kept)
    id.value = newId()
  },
})
</script>

<template>
  <form novalidate @submit.prevent="form.submit">
    <div class="two-columns">
      <Field v-slot="{ bind }" name="kind" label="What is done">
        <select v-bind="bind" v-model="typed.kind" class="form-select">
          <option v-for="(name, key) in movementNames" :key="key" :value="key">{{ name }}</option>
        </select>
      </Field>
      <Field v-slot="{ bind }" name="access" label="They fit">
        <select v-bind="bind" v-model="typed.access" class="form-select">
          <option v-for="(name, key) in accessNames" :key="key" :value="key">{{ name }}</option>
        </select>
      </Field>
      <Field v-slot="{ bind }" name="size" label="Thickness, as stamped" hint="2.70, 270, or 0.106 in inches">
        <BFormInput v-bind="bind" v-model="typed.size" class="figure" inputmode="decimal" autocomplete="off" />
      </Field>
      <Field v-slot="{ bind }" name="unit" label="In">
        <select v-bind="bind" v-model="typed.unit" class="form-select">
          <option value="mm">mm</option>
          <option value="in">inches</option>
          <option value="thou">thou</option>
        </select>
      </Field>
      <Field v-slot="{ bind }" name="count" :label="typed.kind === 'counted' ? 'How many are there' : 'How many'">
        <NumberField v-bind="bind" v-model="typed.count" />
      </Field>
      <Field v-slot="{ bind }" name="diameterMm" label="Across, where there are several">
        <NumberField v-bind="bind" v-model="typed.diameter" unit="mm" />
      </Field>
      <Field v-if="!takes" v-slot="{ bind }" name="knownBy" label="Known by">
        <select v-bind="bind" v-model="typed.knownBy" class="form-select">
          <option v-for="(name, key) in knownBy" :key="key" :value="key">{{ name }}</option>
        </select>
      </Field>
      <Field v-if="typed.kind === 'moved'" v-slot="{ bind }" name="toDrawer" label="Into">
        <select v-bind="bind" v-model="typed.toDrawer" class="form-select">
          <option value="" disabled>choose…</option>
          <option v-for="d in others.filter((o) => o.id !== drawer.id)" :key="d.id" :value="d.id">{{ d.name }}</option>
        </select>
      </Field>
      <Field
        v-if="typed.kind === 'lapped'"
        v-slot="{ bind }"
        name="toSize"
        label="Thickness after"
        hint="Hundredths: the face is hardened."
      >
        <BFormInput v-bind="bind" v-model="typed.toSize" class="figure" inputmode="decimal" autocomplete="off" />
      </Field>
      <Field v-slot="{ bind }" name="who" label="Who">
        <PersonField v-bind="bind" v-model="preferences.person" />
      </Field>
      <Field v-slot="{ bind }" name="why" :label="typed.kind === 'writtenOff' ? 'Why' : 'Why, if it matters'">
        <BFormInput v-bind="bind" v-model="typed.why" autocomplete="off" />
      </Field>
    </div>
    <p v-if="means.length" class="d-flex gap-2 flex-wrap align-items-center mb-2">
      Is {{ typed.size }} one of these?
      <button v-for="mm in means" :key="mm" type="button" class="btn btn-plain" @click="typed.size = size(mm)">
        {{ size(mm) }}
      </button>
    </p>
    <FormEnd>{{ movementNames[typed.kind] }}</FormEnd>
  </form>
</template>
