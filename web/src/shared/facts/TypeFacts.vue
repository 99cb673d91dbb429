<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { kindWord } from '../words/points'
import { day } from '../figures/days'
import { hours } from '../figures/hours'
import { adjusterNames } from '../words/valvetrains'
import { methodNames } from '../words/methods'

const props = defineProps<{
  type: Schemas['EngineTypeResponse']
  heading?: string
  /** Of one engine: the marks found on it. */
  marks?: Schemas['MarkRecord'][]
}>()
const revision = computed(() => props.type.revisions.find((r) => r.inForce))
const intervals = computed(
  () =>
    [
      props.type.bookHours ? `${hours(props.type.bookHours)} h` : '',
      props.type.bookMonths ? `${props.type.bookMonths} months` : '',
    ]
      .filter(Boolean)
      .join(' or ') || 'none given',
)
</script>

<template>
  <section class="plate p-3">
    <h2 class="mb-2">{{ heading ?? 'This engine' }}</h2>
    <dl class="facts">
      <dt>fires</dt>
      <dd>
        {{ type.firingOrder.join('-')
        }}<template v-if="type.firingAnglesDeg"> at {{ type.firingAnglesDeg.join(', ') }}°</template>,
        {{ type.rotation }}
      </dd>
      <dt>set</dt>
      <dd>
        {{ adjusterNames[type.adjuster]
        }}<template v-if="type.pitchMm">, {{ type.pitchMm }} mm pitch, ratio {{ type.clearancePerTravel }}</template>
      </dd>
      <template v-for="f in revision?.figures ?? []" :key="f.kind">
        <dt>{{ kindWord(f.kind) }}</dt>
        <dd class="figure">{{ f.written }}</dd>
      </template>
      <dt>book</dt>
      <dd v-if="revision">
        rev. {{ revision.revision }}, {{ day(revision.date) }}, {{ revision.condition }}; {{ revision.source }}
      </dd>
      <dt>due</dt>
      <dd>{{ intervals }}</dd>
      <dt>barred</dt>
      <dd>
        {{ type.barringTool
        }}<template v-if="type.toolTurnsPerCrankTurn !== 1"
          >, {{ type.toolTurnsPerCrankTurn }} turns a crank turn</template
        >
      </dd>
      <dt>stops</dt>
      <dd>
        <template v-if="type.plan.stops.length">{{ type.plan.stops.length }}, </template
        >{{ methodNames[type.method].toLowerCase() }}
      </dd>
      <template v-if="marks?.length">
        <dt>marks</dt>
        <dd>
          {{ marks.map((m) => `${m.name} at ${Math.round(m.crankDeg)}°${m.trap ? ', a trap' : ''}`).join('; ') }}, after
          {{ type.firingOrder[0] }} at TDC
        </dd>
      </template>
    </dl>
  </section>
</template>
