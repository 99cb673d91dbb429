<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { watch } from 'vue'
import { useSend } from '../../../offline/useSend'
import ClearanceField from '../../../shared/fields/ClearanceField.vue'
import Field from '../../../shared/fields/Field.vue'
import PersonField from '../../../shared/fields/PersonField.vue'
import FormEnd from '../../../shared/forms/FormEnd.vue'
import HalfTyped from '../../../shared/forms/HalfTyped.vue'
import { useForm } from '../../../shared/forms/useForm'
import { useTypedDialog } from '../../../shared/forms/useTypedDialog'
import { plural } from '../../../shared/words/counts'
import type { Point } from '../bench/useVisit'

/** A second person measures some points again and signs beside the first: their own figures, before looking at the first ones. */
const props = defineProps<{ visitId: string; unit: string; points: Point[] }>()
const shown = defineModel<boolean>({ required: true })
const send = useSend()
/** Measured with the hands in the engine: a reload, or the dialog closed on the way, takes none of it. */
const { typed, isHalf, afresh, sent } = useTypedDialog(
  shown,
  () => `countersign:${props.visitId}`,
  () => ({ person: '', unit: props.unit, figures: {} as Record<string, string> }),
)
const given = () => props.points.filter((p) => typed.figures[p.label]?.trim())
const form = useForm({
  check: () => ({
    by: !typed.person && 'Choose who measured again.',
    readings: !given().length && 'Give the figure of at least one point.',
  }),
  send: () =>
    send.mutateAsync({
      visitId: props.visitId,
      by: typed.person,
      entries: [
        {
          kind: 'countersigned',
          readings: given().map((p) => ({ point: p.label, figure: typed.figures[p.label]!.trim(), unit: typed.unit })),
        },
      ],
    }),
  done: () => `Countersigned with ${plural(given().length, 'reading')}.`,
  then: sent,
})
watch(shown, () => form.clear())
</script>

<template>
  <BModal v-model="shown" lazy title="Countersign" title-tag="h2" no-footer focus="form select, form input">
    <form novalidate @submit.prevent="form.submit">
      <HalfTyped :shown="isHalf" @afresh="afresh" />
      <p class="small soft">
        Not by who signed or measured first. Measure the points you choose yourself; leave the others empty.
      </p>
      <Field v-slot="{ bind }" name="by" label="Who measured again">
        <PersonField v-bind="bind" v-model="typed.person" />
      </Field>
      <Field
        v-for="(p, i) in points"
        :key="p.label"
        v-slot="{ bind }"
        :name="i ? undefined : 'readings'"
        :label="p.label"
      >
        <ClearanceField
          v-bind="bind"
          v-model:unit="typed.unit"
          :model-value="typed.figures[p.label] ?? ''"
          @update:model-value="(now: string) => (typed.figures[p.label] = now)"
        />
      </Field>
      <FormEnd :needs-server="false">Sign beside it</FormEnd>
    </form>
  </BModal>
</template>
