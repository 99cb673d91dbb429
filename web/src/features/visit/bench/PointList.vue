<script setup lang="ts">
import { computed } from 'vue'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import { usePreferences } from '../../../shared/preferences'
import { degreesText } from '../../../shared/words/turns'
import StateMark from '../../../instruments/StateMark.vue'
import { readingText } from '../../../shared/words/readings'
import type { Point, Sheet } from './useVisit'

const props = defineProps<{ view: Sheet; current?: string | null }>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures(() => props.view.trayUnit as Unit)
const preferences = usePreferences()
/** From the other side everything comes the other way round. */
function labels(stop: Sheet['stops'][number]): string[] {
  // Of a visit that goes on with another only the points that waited are asked for.
  const waiting = props.view.waiting ?? []
  const asked = waiting.length ? stop.points.filter((label) => waiting.includes(label)) : stop.points
  return preferences.mirrored ? [...asked].reverse() : asked
}
const numbered = (stop: Sheet['stops'][number]) => stop.crankDeg != null && !props.view.byEye
const byLabel = (view: Sheet, label: string) => view.points.find((p) => p.label === label)!
// A first visit has nothing to compare with.
const known = computed(() => props.view.points.some((p) => p.beforeMm != null))
const left = (p: Point) => {
  if (p.left) return readingText(p.left, figures.figure, true)
  if (p.outcome === 'leftAlone' && p.done) return readingText(p.found, figures.figure, true)
  if (p.outcome === 'byTheBook') return 'set'
  if (p.outcome === 'leftSo') return 'as found'
  if (p.outcome === 'awaiting') return 'awaits'
  if (p.outcome === 'notReached') return 'not reached'
  return p.found && !p.done ? '…' : ''
}
</script>

<template>
  <table class="list">
    <thead class="caps">
      <tr>
        <th>Point</th>
        <th v-if="known">Before</th>
        <th>Found</th>
        <th>Left</th>
        <th><span class="visually-hidden">State</span></th>
      </tr>
    </thead>
    <tbody v-for="stop in view.stops" :key="stop.index">
      <tr v-if="numbered(stop) && view.stops.length > 1 && labels(stop).length">
        <td :colspan="known ? 5 : 4" class="soft small stop">
          stop {{ stop.index + 1
          }}{{ stop.index > 0 && stop.turnFromPreviousDeg ? `, ${degreesText(stop.turnFromPreviousDeg)} on` : '' }}
        </td>
      </tr>
      <tr
        v-for="label in labels(stop)"
        :key="label"
        :class="{ current: label === current }"
        :aria-current="label === current || undefined"
      >
        <td>
          <button type="button" class="pick" @click="$emit('pick', label)">
            {{ byLabel(view, label).bookName ?? label
            }}<span v-if="byLabel(view, label).bookName" class="small soft also">{{ label }}</span>
          </button>
        </td>
        <td v-if="known" class="figure soft">
          {{ byLabel(view, label).beforeMm != null ? figures.rough(byLabel(view, label).beforeMm) : '' }}
        </td>
        <td class="figure" :class="`is-${byLabel(view, label).found?.state}`">
          {{
            readingText(byLabel(view, label).found, figures.figure, true) ||
            (byLabel(view, label).foundDraft ? '…' : '')
          }}
        </td>
        <td class="figure">{{ left(byLabel(view, label)) }}</td>
        <td><StateMark :state="byLabel(view, label).left?.state ?? byLabel(view, label).found?.state" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.list {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
  padding: 0.3rem 0.15rem;
  letter-spacing: 0;
  white-space: nowrap;
}
td {
  border-top: 1px solid var(--hairline);
  padding: 0 0.15rem;
  height: 45px;
  white-space: nowrap;
  font-size: 0.9rem;
}
.also {
  margin-left: 0.4rem;
  font-weight: 400;
}
/* A bracket is two figures in one cell. */
.list .figure {
  letter-spacing: -0.05em;
  padding-right: 0.45rem;
}
.stop {
  height: 30px;
  white-space: normal;
}
.pick {
  font-weight: 700;
  min-height: 44px;
  min-width: 44px;
  background: none;
  border: 0;
  color: inherit;
  text-align: left;
  padding: 0;
}
.current td {
  background: var(--blue-wash);
}
.current td:first-child {
  box-shadow: inset 4px 0 0 var(--blue);
  padding-left: 0.7rem;
}
</style>
