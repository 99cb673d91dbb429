<script setup lang="ts">
import { computed } from 'vue'
import { moment } from '../../../shared/figures/days'
import Photo from '../../../shared/photos/Photo.vue'
import { stepText } from '../../../shared/words/steps'
import type { Sheet, Visit } from '../bench/useVisit'

/** What a record says besides its figures: parts, notes with pictures, what was seen and counted, who was shown it, and the lines to sign on paper. */
const props = defineProps<{
  visit: Visit
  sheet: Sheet
  name: (id?: string | null) => string
  photoUrl: (hash: string) => Promise<string>
}>()
/** What was ticked for the whole engine, in the order of the work. */
const checked = computed(() =>
  props.sheet.steps
    .filter((s) => s.ticked && !s.notHere && !s.point && s.list !== 'kit')
    .map((s) => s.text.replace(/\.$/, '')),
)
const notes = computed(() => props.visit.notes.filter((n) => !n.customer))
const customers = computed(() => props.visit.notes.filter((n) => n.customer))
const place = (p: Visit['parts'][number]) =>
  p.whole ? 'the whole engine' : p.cylinder != null ? `cylinder ${p.cylinder}` : p.points.join(', ')
const cut = (mm: number | null | undefined) =>
  mm == null || mm === 0
    ? ''
    : mm > 0
      ? `, stem cut ${mm} mm: the gap opens`
      : `, seat or face cut ${-mm} mm: it closes`
</script>

<template>
  <section class="more">
    <p v-if="sheet.notLookedAt.length" class="mb-1">
      <strong>Not looked at:</strong> cylinder {{ sheet.notLookedAt.join(', ') }}.
    </p>
    <p v-for="s in sheet.steps.filter((one) => one.notHere && !one.point)" :key="`absent ${s.step}`" class="mb-1 small">
      <strong>Not here:</strong> {{ s.text }} {{ s.why }}
    </p>
    <p v-if="checked.length" class="mb-1 small"><strong>Checked:</strong> {{ checked.join(' · ') }}</p>
    <p v-for="p in visit.parts" :key="p.entry" class="mb-1">
      <strong>Changed:</strong> {{ p.part }} of {{ place(p) }}{{ cut(p.cutMm) }}. {{ p.why }}
      <span class="soft small">({{ name(p.by) }})</span>
    </p>
    <p v-for="s in visit.saidSteps" :key="s.step" class="mb-1 small">
      {{ stepText(visit.context?.steps, s.step) }} <strong>{{ s.said }}</strong>
    </p>
    <div v-for="n in notes" :key="n.entry" class="mb-1">
      <template v-if="n.point">{{ n.point }}: </template>{{ n.text }}
      <span class="soft small">({{ name(n.by) }}, {{ moment(n.at) }})</span>
      <div v-if="n.photo"><Photo :hash="n.photo" :from="photoUrl" :alt="n.text" /></div>
    </div>
    <div v-for="n in customers" :key="n.entry" class="mb-1">
      <strong>{{ n.customer }}</strong>, customer: {{ n.text }}
      <div v-if="n.photo"><Photo :hash="n.photo" :from="photoUrl" :alt="`Signature of ${n.customer}`" /></div>
    </div>
    <p class="small soft mb-1">{{ sheet.letters }}. {{ visit.context?.foremost }}</p>
    <div class="signatures">
      <span>Signed{{ visit.signed ? `: ${name(visit.signed.by)}, ${moment(visit.signed.at)}` : '' }}</span>
      <span>Received</span>
    </div>
  </section>
</template>

<style scoped>
.more {
  margin-top: 0.8rem;
}
.signatures {
  display: none;
}
@media print {
  .signatures {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2rem;
    margin-top: 14mm;
  }
  .signatures span {
    border-top: 1px solid currentcolor;
    padding-top: 1mm;
  }
}
</style>
