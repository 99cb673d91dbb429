<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useTrendAnswer } from '../../../offline/useTrendAnswer'
import PersonField from '../../../shared/fields/PersonField.vue'
import { usePreferences } from '../../../shared/preferences'
import { trendAnswers, type TrendAnswer } from '../../../shared/words/trend'
import type { Sheet } from '../bench/useVisit'

/** Whether a signed visit counts for the trend: answered, and answered otherwise, with a name. */
const props = defineProps<{ visitId: string; sheet: Sheet }>()
const preferences = usePreferences()
const { answer, failure, busy } = useTrendAnswer()
const now = computed<TrendAnswer>(() =>
  props.sheet.outOfTrend ? ((props.sheet.outOfTrendBecause as TrendAnswer | null) ?? 'warm') : 'counts',
)
</script>

<template>
  <section class="plate p-3 d-flex gap-2 align-items-center flex-wrap">
    <h2>Does this visit count for the trend?</h2>
    <PersonField v-model="preferences.person" label="Your name" />
    <BButton
      v-for="(text, what) in trendAnswers"
      :key="what"
      :class="now === what ? 'btn-act' : 'btn-plain'"
      :aria-pressed="now === what"
      :disabled="busy"
      @click="answer(visitId, what, now)"
      >{{ text }}</BButton
    >
    <span v-if="now !== 'counts'" class="soft small">Left out of the rates; the record keeps it.</span>
    <span v-if="failure" class="complaint" role="alert">{{ failure }}</span>
  </section>
</template>
