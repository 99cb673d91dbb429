<script setup lang="ts">
import type { Schemas } from '../../../api/client'
import { useFigures } from '../../../shared/figures/useFigures'
import { inches, size } from '../../../shared/words/shims'

/** The tray: one place a point, in the order of the engine; printed, it lies under the shims. */
const props = defineProps<{ job: Schemas['ShimJobResponse'] }>()
const figures = useFigures()
const comes = (p: Schemas['ShimJobPlace']) =>
  p.origin === 'buy'
    ? p.fromDrawer
      ? `bought, in by ${p.fromDrawer}`
      : 'on order'
    : p.origin === 'drawer'
      ? p.fromDrawer!
      : `out of ${p.fromPoint}`
const many = () => props.job.engines.length > 1
</script>

<template>
  <section class="plate p-3" aria-label="Tray card">
    <h2>Tray card</h2>
    <p class="small soft">
      One place a point. Lay each shim on its own place; clean and measure it by micrometer as it goes in.
    </p>
    <div class="tray">
      <div v-for="p in job.places" :key="`${p.visitId} ${p.point}`" class="place" :class="{ done: p.fitted }">
        <p class="mb-0 label">
          <strong>{{ p.point }}</strong><span v-if="many()" class="small"> {{ p.engine }}</span>
        </p>
        <p class="mb-0 figure in">{{ size(p.newMm) }}</p>
        <p class="mb-0 small figure">{{ inches(p.newMm) }}</p>
        <p class="mb-0 small">{{ comes(p) }}</p>
        <p class="mb-0 small soft">
          out: <span class="figure">{{ size(p.oldMm) }}</span>{{
            p.oldIsOver ? `, over${job.drawer ? `, to ${job.drawer}` : ''}` : ', wanted elsewhere'
          }}
        </p>
        <p class="mb-0 small soft">
          found {{ figures.figure(p.foundMm) }}, expected {{ figures.figure(p.predictedMm)
          }}<template v-if="p.leftMm != null"
            >, <strong>left {{ figures.figure(p.leftMm) }}</strong></template
          ><template v-else-if="p.fitted">, <strong>fitted</strong></template>
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.tray {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 0.6rem;
}
.place {
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 0.5rem 0.65rem;
  break-inside: avoid;
}
.place.done {
  border-style: dashed;
}
.in {
  font-size: 1.5rem;
}
</style>
