<script setup lang="ts" generic="Answer extends string">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import PersonField from '../../shared/fields/PersonField.vue'
import { usePreferences } from '../../shared/preferences'

/** A finding that can be answered, with who answers it. */
defineProps<{ answers: Record<Answer, string>; busy: boolean }>()
defineEmits<{ answer: [what: Answer] }>()
const preferences = usePreferences()
</script>

<template>
  <li>
    <strong><slot /></strong>
    <span class="d-flex gap-2 flex-wrap align-items-center mt-1">
      <PersonField v-model="preferences.person" label="Your name" />
      <BButton
        v-for="(text, what) in answers"
        :key="what"
        class="btn-plain"
        :disabled="busy"
        @click="$emit('answer', what as Answer)"
        >{{ text }}</BButton
      >
    </span>
  </li>
</template>
