<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BModal } from 'bootstrap-vue-next/components/BModal'
import type { Schemas } from '../../api/client'
import { useWrite, writes } from '../../api/writes'
import Field from '../../shared/fields/Field.vue'
import NumberField from '../../shared/fields/NumberField.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import HalfTyped from '../../shared/forms/HalfTyped.vue'
import { useForm } from '../../shared/forms/useForm'
import { useTypedDialog } from '../../shared/forms/useTypedDialog'
import { plural } from '../../shared/words/counts'
import { shimAdjusters } from '../../shared/words/shims'
import { screws } from './adjusterForm'
import { kitComplaints, kitOf, kitRequest } from './kitForm'

/** What the job takes: fasteners with their tools and torques, gaskets, scarce tools; and how long a hot figure holds. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ type: Schemas['EngineTypeResponse'] }>()
const change = useWrite(writes.changeType)
const { typed, isHalf, afresh, sent } = useTypedDialog(
  open,
  () => `kit:${props.type.id}:${props.type.version}`,
  () => ({ kit: kitOf(props.type), why: '' }),
)
const form = useForm({
  check: () => ({ ...kitComplaints(typed.kit), why: !typed.why.trim() && 'Say where that comes from.' }),
  send: () =>
    change.mutateAsync({
      id: props.type.id,
      ...kitRequest(typed.kit),
      why: typed.why.trim(),
      version: props.type.version,
    }),
  done: (type) => `${type.code} takes ${plural(type.kit.length, 'line')} of kit.`,
  then: sent,
})
</script>

<template>
  <BModal v-model="open" :title="`${type.code}: what it takes`" size="lg" no-footer>
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <h3>Fasteners</h3>
      <div v-for="(f, i) in typed.kit.fasteners" :key="i" class="line">
        <Field v-slot="{ bind }" :name="`fasteners[${i}].use`" label="What" class="grow"
          ><BFormInput v-bind="bind" v-model="f.use" placeholder="locknut"
        /></Field>
        <Field v-slot="{ bind }" label="Tool"
          ><BFormInput v-bind="bind" v-model="f.size" placeholder="13 mm ring"
        /></Field>
        <Field v-slot="{ bind }" :name="`fasteners[${i}].torqueNm`" label="Torque"
          ><NumberField v-bind="bind" v-model="f.torque" unit="Nm"
        /></Field>
        <BButton
          class="btn-plain"
          :aria-label="`Take ${f.use || 'this line'} away`"
          @click="typed.kit.fasteners.splice(i, 1)"
          >✕</BButton
        >
      </div>
      <BButton class="btn-plain mb-3" @click="typed.kit.fasteners.push({ use: '', size: '', torque: '' })"
        >Another fastener</BButton
      >
      <h3>Gaskets and seals</h3>
      <div v-for="(g, i) in typed.kit.gaskets" :key="i" class="line">
        <Field v-slot="{ bind }" :name="`gaskets[${i}].name`" label="What" class="grow"
          ><BFormInput v-bind="bind" v-model="g.name" placeholder="cover gasket"
        /></Field>
        <Field v-slot="{ bind }" :name="`gaskets[${i}].count`" label="How many"
          ><NumberField v-bind="bind" v-model="g.count"
        /></Field>
        <BFormCheckbox v-model="g.singleUse" class="pb-3">new every time</BFormCheckbox>
        <BButton
          class="btn-plain"
          :aria-label="`Take ${g.name || 'this line'} away`"
          @click="typed.kit.gaskets.splice(i, 1)"
          >✕</BButton
        >
      </div>
      <BButton class="btn-plain mb-3" @click="typed.kit.gaskets.push({ name: '', count: '1', singleUse: false })"
        >Another gasket</BButton
      >
      <div class="two">
        <Field v-slot="{ bind }" name="scarceTools" label="Scarce tools, one a line" class="wide">
          <textarea v-bind="bind" v-model="typed.kit.tools" class="form-control" rows="2" />
        </Field>
        <Field
          v-slot="{ bind }"
          name="gasketHours"
          label="New gaskets are worth"
          hint="In hours of work: it makes an opening dearer, so that it pays to wait longer."
        >
          <NumberField v-bind="bind" v-model="typed.kit.gasketHours" unit="h" />
        </Field>
        <Field v-slot="{ bind }" name="hotMinutes" label="A hot figure holds for"
          ><NumberField v-bind="bind" v-model="typed.kit.hotMinutes" unit="min"
        /></Field>
        <Field v-slot="{ bind }" name="resetHotHours" label="Set again hot, after a build"
          ><NumberField v-bind="bind" v-model="typed.kit.resetHotHours" unit="h"
        /></Field>
        <Field v-slot="{ bind }" name="sameWithinMm" label="All to one figure within"
          ><NumberField v-bind="bind" v-model="typed.kit.sameWithin" unit="mm"
        /></Field>
        <Field v-if="shimAdjusters.includes(type.adjuster)" v-slot="{ bind }" name="shimDiameterMm" label="Shims across"
          ><NumberField v-bind="bind" v-model="typed.kit.shimDiameter" unit="mm"
        /></Field>
        <Field
          v-else-if="screws.includes(type.adjuster)"
          v-slot="{ bind }"
          name="screwFreeMm"
          label="Free thread at build"
          hint="What a new screw can still come out by."
          ><NumberField v-bind="bind" v-model="typed.kit.screwFree" unit="mm"
        /></Field>
      </div>
      <BFormCheckbox v-model="typed.kit.narrowBlade" class="mb-3"
        >Its bridges leave room for a narrow blade only</BFormCheckbox
      >
      <Field v-slot="{ bind }" name="why" label="Where that comes from">
        <BFormInput v-bind="bind" v-model="typed.why" placeholder="workshop manual, page 4-12" />
      </Field>
      <FormEnd>Change what it takes</FormEnd>
    </form>
  </BModal>
</template>

<style scoped>
h3 {
  font-size: 1rem;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: flex-end;
}
.line :deep(.field) {
  margin-bottom: 0.5rem;
  width: 130px;
}
.line :deep(.grow) {
  flex: 1 1 200px;
}
.line .btn {
  margin-bottom: 0.5rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 0.9rem;
}
.wide {
  grid-column: 1 / -1;
}
</style>
