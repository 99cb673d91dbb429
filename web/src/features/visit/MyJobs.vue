<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { queries } from '../../api/queries'
import PersonField from '../../shared/fields/PersonField.vue'
import { day } from '../../shared/figures/days'
import { usePreferences } from '../../shared/preferences'
import { nextText } from '../../shared/words/next'

/** What stands in the plan today for whoever works at this machine; with nothing today, what comes next. */
const preferences = usePreferences()
const yard = useQuery(() => queries.yard())
const people = useQuery(() => queries.people())
const name = computed(() => people.data.value?.find((p) => p.id === preferences.person)?.name)
const mine = computed(() =>
  (yard.data.value?.engines ?? [])
    .filter((e) => e.next.plannedOn && name.value && e.next.who.includes(name.value))
    .sort((a, b) => a.next.plannedOn!.localeCompare(b.next.plannedOn!)),
)
const today = computed(() => mine.value.filter((e) => e.next.plannedOn! <= (yard.data.value?.today ?? '')))
const later = computed(() => mine.value.find((e) => e.next.plannedOn! > (yard.data.value?.today ?? '')))
const mates = (who: string[]) => who.filter((w) => w !== name.value)
</script>

<template>
  <section class="plate p-3 mb-3">
    <div class="d-flex justify-content-between align-items-end flex-wrap gap-2 mb-2">
      <h2 class="mb-0">My jobs today</h2>
      <div class="who small soft"><PersonField v-model="preferences.person" label="Who are you?" /></div>
    </div>
    <p v-if="!name" class="mb-0">Choose your name to see what is planned for you.</p>
    <template v-else>
      <p v-if="!today.length" class="mb-0">
        Nothing is planned for {{ name }} today.<template v-if="later">
          Next: {{ later.name }}, {{ day(later.next.plannedOn) }}.</template
        >
      </p>
      <RouterLink
        v-for="e in today"
        :key="e.engineId"
        class="mine"
        :to="
          e.next.step === 'goOn'
            ? { name: 'visit', params: { id: e.next.visitId! } }
            : { name: 'job-card', params: { id: e.next.jobId! } }
        "
      >
        <span>
          <strong>{{ e.name }}</strong>
          <span class="soft d-block small"
            >{{ e.next.job }}, {{ e.site
            }}<template v-if="mates(e.next.who).length"> · with {{ mates(e.next.who).join(', ') }}</template
            ><template v-if="e.next.plannedOn! < yard.data.value!.today">
              · planned for {{ day(e.next.plannedOn) }}</template
            ></span
          >
        </span>
        <strong class="next">{{ nextText(e.next) }} ›</strong>
      </RouterLink>
    </template>
  </section>
</template>

<style scoped>
.who {
  width: 170px;
}
.mine {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  min-height: 52px;
  padding: 0.3rem 0.5rem;
  border-top: 1px solid var(--hairline);
  color: var(--ink);
  text-decoration: none;
}
.mine:hover {
  background: var(--blue-wash);
}
.next {
  color: var(--blue);
  white-space: nowrap;
}
</style>
