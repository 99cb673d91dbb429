<script setup lang="ts">
import { computed } from 'vue'
import { day } from '../../../shared/figures/days'
import { useFigures } from '../../../shared/figures/useFigures'
import { inches, knownBy, size } from '../../../shared/words/shims'
import type { BenchPoint } from './useBench'

/** One point of the bench: why it gets what it gets, what else it could get, and what can be done where nothing fits. */
const props = defineProps<{ point: BenchPoint; unit: string; single: boolean }>()
const emit = defineEmits<{ pin: [mm: number]; free: [] }>()
const figures = useFigures()
const said = (mm: number) => (props.unit === 'thou' ? `${size(mm)} (${inches(mm)})` : size(mm))
const where = (o: BenchPoint['options'][number]) =>
  [
    o.own && 'stays',
    o.points.length && `from ${o.points.join(', ')}`,
    o.loose > 0 && `drawer ${o.loose}`,
    !o.own && !o.points.length && o.loose === 0 && o.canBuy && 'to buy',
  ]
    .filter(Boolean)
    .join(', ')
const shown = computed(() => {
  const all = props.point.options
  return all.filter((o, i) => i < 14 || o.own || o.shimMm === props.point.shimMm)
})
const wanted = computed(() => props.point.wanted)
const bracket = computed(
  () => wanted.value && (wanted.value.surelyFromMm == null || wanted.value.mayToMm - wanted.value.surelyToMm! > 1e-6),
)
function choose(event: Event) {
  const mm = Number((event.target as HTMLSelectElement).value)
  if (mm > 0) emit('pin', mm)
}
</script>

<template>
  <section class="plate p-3" :aria-label="`Why, ${point.id}`">
    <h2>
      {{ point.id
      }}<template v-if="point.minMm != null">
        <span class="soft small fw-normal ms-1">
          {{ figures.figure(point.minMm) }} – {{ figures.figure(point.maxMm) }}, aim
          {{ figures.withUnit(point.targetMm) }}</span
        ></template
      >
    </h2>
    <p class="mb-1 mt-1">{{ point.short ? point.short.sentence : point.why }}</p>
    <p v-if="point.fittedMm != null" class="small soft mb-1">
      There now: <span class="figure">{{ said(point.fittedMm) }} mm</span>,
      {{ point.knownBy ? knownBy[point.knownBy] : ''
      }}<template v-if="point.knownSince"> on {{ day(point.knownSince) }}</template
      ><template v-if="point.mark && point.mark !== size(point.fittedMm)">, marked {{ point.mark }}</template
      ><template v-if="point.knownBy === 'printed'">: what is printed on a worn shim is not its thickness</template>.
    </p>
    <p v-if="wanted && point.standing === 'placed'" class="small soft mb-2">
      <template v-if="bracket">
        <span class="figure">{{ size(wanted.mayFromMm) }} – {{ size(wanted.mayToMm) }}</span> may do;
        <template v-if="wanted.surelyFromMm != null"
          ><span class="figure">{{ size(wanted.surelyFromMm) }} – {{ size(wanted.surelyToMm!) }}</span> surely
          does.</template
        ><template v-else>no size surely does: measure finer, or fit and measure.</template>
      </template>
      <template v-else
        ><span class="figure">{{ size(wanted.exactMm) }}</span> would land on it;
        <span class="figure">{{ size(wanted.mayFromMm) }} – {{ size(wanted.mayToMm) }}</span> is in the
        window.</template
      >
    </p>
    <p v-if="point.thinnerMm != null" class="mb-2">
      First in: <strong class="figure">{{ said(point.thinnerMm) }} mm</strong>, then measure.
    </p>
    <ul v-if="point.short" class="plain-list ways small">
      <li v-for="w in point.short.ways" :key="w.way">{{ w.sentence }}</li>
    </ul>
    <template v-if="point.standing === 'placed'">
      <label :for="`put-${point.id}`" class="form-label mb-0">Put here</label>
      <div class="d-flex gap-2">
        <select :id="`put-${point.id}`" class="form-select" :value="point.shimMm ?? ''" @change="choose">
          <option v-for="o in shown" :key="o.shimMm" :value="o.shimMm">
            {{ said(o.shimMm) }} → {{ o.predictedMm < 0 ? 'no gap' : figures.figure(o.predictedMm)
            }}{{ o.inWindow ? '' : ', outside' }} ({{ where(o) }})
          </option>
        </select>
        <button v-if="point.pinned" type="button" class="btn btn-plain text-nowrap" @click="$emit('free')">
          Free it
        </button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.ways li {
  border-top: 1px solid var(--hairline);
  padding: 0.35rem 0;
}
</style>
