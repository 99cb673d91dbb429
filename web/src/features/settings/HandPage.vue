<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import { useTitle } from '../../shared/address/useTitle'
import ClearanceField from '../../shared/fields/ClearanceField.vue'
import Field from '../../shared/fields/Field.vue'
import { typedLengthMm } from '../../shared/figures/typedNumber'
import { useFigures } from '../../shared/figures/useFigures'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import Loaded from '../../shared/loaded/Loaded.vue'
import { usePreferences } from '../../shared/preferences'
import { plural } from '../../shared/words/counts'

/** One hand, for its owner: how well it repeats, how far it is off, and a check on known gaps. Never a list of all. */
const props = defineProps<{ id: string }>()
const figures = useFigures()
const preferences = usePreferences()
const hand = useQuery(() => queries.hand(props.id))
const addChecks = useWrite(writes.addFeelChecks)
useTitle(() => hand.data.value && `The hand of ${hand.data.value.person}`)
const blank = () => ({ id: newId(), known: '', felt: '' })
const unit = ref<string>(preferences.unit)
const rows = reactive([blank(), blank(), blank(), blank(), blank()])
const filled = () => rows.filter((r) => r.known.trim() || r.felt.trim())
const mm = (text: string) => typedLengthMm(text, unit.value)
const form = useForm({
  check: () => ({
    'checks[0].knownMm':
      filled().length === 0 && 'Stack some blades to a gap you know, feel it, and give both figures.',
    ...Object.fromEntries(
      rows.flatMap((r, i) =>
        r.known.trim() || r.felt.trim()
          ? [
              [`checks[${i}].knownMm`, mm(r.known) == null && 'Give the gap that the stack makes.'],
              [`checks[${i}].feltMm`, mm(r.felt) == null && 'Give what it felt like.'],
            ]
          : [],
      ),
    ),
  }),
  send: () =>
    addChecks.mutateAsync({
      personId: props.id,
      checks: filled().map((r) => ({ id: r.id, knownMm: mm(r.known)!, feltMm: mm(r.felt)! })),
    }),
  done: () => `${plural(filled().length, 'check')} kept.`,
  then: () => {
    rows.splice(0, rows.length, blank(), blank(), blank(), blank(), blank())
  },
})
const said = computed(() => {
  const h = hand.data.value
  if (!h) return []
  const lines = [
    `One reading against the next of the same gap: ${figures.withUnit(round(h.repeatSdMm))}, from ${plural(h.repeats, 'repeat')}; a usual hand ${figures.withUnit(h.usualSdMm)}.`,
  ]
  if (h.onKnownGaps)
    lines.push(`On known gaps it reads ${off(h.onKnownGaps)}, over ${plural(h.onKnownGaps.count, 'check')}.`)
  if (h.besideOthers)
    lines.push(
      `Beside whoever measured the same gap it reads ${off(h.besideOthers)}, over ${plural(h.besideOthers.count, 'gap')}; that does not say which of the two is right.`,
    )
  if (h.biasMm != null)
    lines.push(
      Math.abs(h.biasMm) < h.biasErrorMm!
        ? `On engines it reads as the others do, ± ${figures.withUnit(round(h.biasErrorMm!))}.`
        : `On engines it reads ${figures.withUnit(round(Math.abs(h.biasMm)))} ${h.biasMm < 0 ? 'tighter' : 'looser'} than the others, ± ${figures.figure(round(h.biasErrorMm!))}; the rates allow for it.`,
    )
  return lines
})
const off = (bias: Schemas['MeasuredBias']) =>
  `${figures.withUnit(round(Math.abs(bias.mm)))} ${bias.mm < 0 ? 'tight' : 'loose'}, ± ${figures.figure(round(bias.errorMm))}`
const round = (mm: number) => Math.round(mm * 10_000) / 10_000
</script>

<template>
  <Loaded v-slot="{ data }" :query="hand" what="person" back="/settings" back-text="Settings">
    <main class="page">
      <div class="page-head">
        <div>
          <h1>The hand of {{ data.person }}</h1>
          <p class="soft small mb-0 mt-1">
            for {{ data.person }} to know; it stands behind the uncertainty of what this hand measures
          </p>
        </div>
      </div>
      <section class="plate plate-strong p-3 mb-3">
        <p v-for="line in said" :key="line" class="mb-1">{{ line }}</p>
      </section>
      <section class="plate p-3">
        <h2>Check on known gaps</h2>
        <p class="small soft">
          Let somebody clamp a block of stacked blades with a gap that you do not see, feel it with your own blades, and
          give both figures.
        </p>
        <form novalidate @submit.prevent="form.submit">
          <div v-for="(row, i) in rows" :key="row.id" class="two-columns">
            <Field v-slot="{ bind }" :name="`checks[${i}].knownMm`" :label="`Gap ${i + 1}, as stacked`">
              <ClearanceField v-bind="bind" v-model="row.known" v-model:unit="unit" />
            </Field>
            <Field v-slot="{ bind }" :name="`checks[${i}].feltMm`" :label="`Gap ${i + 1}, as felt`">
              <ClearanceField v-bind="bind" v-model="row.felt" v-model:unit="unit" />
            </Field>
          </div>
          <FormEnd>Keep the checks</FormEnd>
        </form>
      </section>
    </main>
  </Loaded>
</template>
