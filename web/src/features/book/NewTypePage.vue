<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api, Refusal, sentence } from '../../api/client'
import { queries } from '../../api/queries'
import { useWrite, writes } from '../../api/writes'
import HeadMap from '../../instruments/HeadMap.vue'
import LiftChart from '../../instruments/LiftChart.vue'
import FormEnd from '../../shared/forms/FormEnd.vue'
import { useForm } from '../../shared/forms/useForm'
import PlanText from '../../shared/facts/PlanText.vue'
import BesideFields from './BesideFields.vue'
import FromManual from './FromManual.vue'
import NeededFields from './NeededFields.vue'
import { copyOf, emptyType, typeComplaints, typeMissing, typeRequest, type TypeForm } from './typeForm'

const route = useRoute()
const router = useRouter()
const addType = useWrite(writes.addType)
const kept = 'zd-new-type'

/** A half-typed type survives a closed tab. */
function begun(): TypeForm {
  try {
    // What was half typed before a field was thought of lacks it.
    return { ...emptyType(), ...(JSON.parse(localStorage.getItem(kept) ?? '{}') as Partial<TypeForm>) }
  } catch {
    return emptyType()
  }
}
const typed = ref(begun())
watch(typed, (now) => localStorage.setItem(kept, JSON.stringify(now)), { deep: true })

const copied = computed(() => (typeof route.query.copy === 'string' ? route.query.copy : ''))
const original = useQuery(() => ({ ...queries.type(copied.value), enabled: !!copied.value }))
watch(
  original.data,
  (type) => {
    if (type) typed.value = copyOf(type)
  },
  { immediate: true },
)

const complaints = computed(() => typeComplaints(typed.value))
const hasComplaint = computed(() => Object.values(complaints.value).some(Boolean))
/** Points with a bridge, for whoever says that all have a screw. */
const bridged = ref<string[]>([])
const request = computed(() => typeRequest(typed.value, bridged.value))
const settled = refDebounced(
  computed(() => JSON.stringify(request.value)),
  250,
)
const preview = useQuery(() => ({
  queryKey: ['type-preview', settled.value],
  queryFn: () => answer(api.POST('/api/engine-types/preview', { body: request.value })),
  enabled: !hasComplaint.value && !!request.value.firingOrder,
  placeholderData: keepPreviousData,
  gcTime: 0,
}))
watch(
  preview.data,
  (now) => (bridged.value = now?.points.filter((p) => p.adjuster === 'bridgeScrew').map((p) => p.label) ?? []),
)
const previewError = computed(() => preview.error.value)

const form = useForm({
  check: () => ({ ...typeMissing(typed.value), ...complaints.value }),
  send: () => addType.mutateAsync(request.value),
  done: (type) => `${type.code} is in the book.`,
  then: async (type) => {
    localStorage.removeItem(kept)
    await router.push({ name: 'book', params: { id: type.id } })
  },
})
/** Typed as it is, the drawing says at once what cannot be. */
const soon = computed(() => {
  const said = Object.values(complaints.value).find(Boolean)
  if (said) return said
  const refusal = previewError.value
  // What is not typed yet is no mistake.
  if (!(refusal instanceof Refusal) || (refusal.for('layout') && !request.value.layout)) return ''
  return sentence(refusal)
})
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>A new engine type</h1>
        <p class="soft small mb-0 mt-1">
          as its manual gives it; the plan is worked out as you type<template v-if="original.data.value"
            >; begun as a copy of {{ original.data.value.code }}</template
          >
        </p>
      </div>
    </div>
    <form class="board" novalidate @submit.prevent="form.submit">
      <section class="plate p-3">
        <FromManual v-model="typed" />
        <NeededFields v-model="typed" />
        <BesideFields v-model="typed" :points="preview.data.value?.points.length" />
        <FormEnd>Put it in the book</FormEnd>
      </section>
      <section class="plate plate-strong p-3 preview" aria-live="polite">
        <h2>What the yard will do with it</h2>
        <p v-if="soon" class="complaint mt-2">{{ soon }}</p>
        <p v-else-if="previewError && !(previewError instanceof Refusal)" class="mt-2">
          The server cannot be reached; what you typed is kept here.
        </p>
        <p v-else-if="!preview.data.value" class="soft mt-2">
          Type the firing order and the valves along the head: the plan is drawn here, stop by stop.
        </p>
        <div v-if="preview.data.value" :class="{ stale: soon }">
          <HeadMap class="mt-2" still :points="preview.data.value.points" />
          <LiftChart
            :cycle="preview.data.value.plan.cycleDeg"
            :arcs="preview.data.value.plan.openArcs"
            :stops="preview.data.value.plan.stops"
          />
          <PlanText
            :plan="preview.data.value.plan"
            :points="preview.data.value.points"
            :as-listed="request.method === 'book'"
          />
        </div>
      </section>
    </form>
  </main>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.preview {
  position: sticky;
  top: 14px;
}
.stale {
  opacity: 0.45;
}
@media (max-width: 1000px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
  .preview {
    position: static;
  }
}
</style>
