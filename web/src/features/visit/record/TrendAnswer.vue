<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { sentence } from '../../../api/client'
import { trendAnswer, type TrendAnswer } from '../../../offline/trendAnswer'
import { useSend } from '../../../offline/useSend'
import PersonField from '../../../shared/fields/PersonField.vue'
import { usePreferences } from '../../../shared/preferences'
import { toast } from '../../../shared/toasts/toasts'
import type { Sheet } from '../bench/useVisit'

/** Whether a signed visit counts for the trend: answered, and answered otherwise, with a name. */
const props = defineProps<{ visitId: string; sheet: Sheet }>()
const preferences = usePreferences()
const send = useSend()
const failure = ref('')
const answers = { counts: 'It counts', warm: 'It was warm', otherBlades: 'Other blades' } as const
const now = computed<TrendAnswer>(() =>
  props.sheet.outOfTrend ? ((props.sheet.outOfTrendBecause as TrendAnswer | null) ?? 'warm') : 'counts',
)
async function say(what: TrendAnswer, before?: TrendAnswer) {
  failure.value = ''
  if (!preferences.person) {
    failure.value = 'Choose who says so.'
    return
  }
  try {
    await send.mutateAsync({
      visitId: props.visitId,
      by: preferences.person,
      entries: trendAnswer(what),
    })
    toast(
      what === 'counts'
        ? 'The visit counts for the trend.'
        : 'The visit is left out of the rates; the record keeps it.',
      before ? () => say(before) : undefined,
    )
  } catch (caught) {
    failure.value = sentence(caught)
  }
}
</script>

<template>
  <section class="plate p-3 d-flex gap-2 align-items-center flex-wrap">
    <h2>Does this visit count for the trend?</h2>
    <PersonField v-model="preferences.person" label="Who says so" />
    <BButton
      v-for="(text, answer) in answers"
      :key="answer"
      :class="now === answer ? 'btn-act' : 'btn-plain'"
      :aria-pressed="now === answer"
      :disabled="send.isPending.value"
      @click="say(answer, now)"
      >{{ text }}</BButton
    >
    <span v-if="now !== 'counts'" class="soft small">Left out of the rates; the record keeps it.</span>
    <span v-if="failure" class="complaint" role="alert">{{ failure }}</span>
  </section>
</template>
