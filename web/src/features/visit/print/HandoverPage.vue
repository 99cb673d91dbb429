<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useTitle } from '../../../shared/address/useTitle'
import { day, moment } from '../../../shared/figures/days'
import { hours } from '../../../shared/figures/hours'
import type { Unit } from '../../../shared/figures/lengths'
import { useFigures } from '../../../shared/figures/useFigures'
import PaperHead from '../../../shared/paper/PaperHead.vue'
import Loaded from '../../../shared/loaded/Loaded.vue'
import { toast } from '../../../shared/toasts/toasts'
import { jobWord } from '../../../shared/words/jobs'
import { methodNames } from '../../../shared/words/methods'
import { attemptsText, readingText } from '../../../shared/words/readings'
import { stepText } from '../../../shared/words/steps'
import { verdictWords } from '../../../shared/words/verdicts'
import { useVisit } from '../bench/useVisit'

/** For whoever goes on with it: what is open, what waits, where the crank stands, what was noted. */
const props = defineProps<{ id: string }>()
const { query, view, sheet, name } = useVisit(
  () => props.id,
  () => '',
)
useTitle(() => view.value && `Handover, ${view.value.context?.engine.name}`)
const figures = useFigures(() => (sheet.value?.trayUnit ?? 'mm') as Unit)
const crank = computed(() => {
  const s = sheet.value!
  if (s.standsDeg == null) return 'Nobody has said where the crank stands.'
  const at = s.stops.find((stop) => stop.crankDeg != null && Math.abs(stop.crankDeg - s.standsDeg!) < 1e-3)
  return at
    ? `The crank stands at stop ${at.index + 1}: ${at.sign}${at.proved ? '' : ' Not proved since it was turned.'}`
    : `The crank stands ${Math.round(s.standsDeg)}° past TDC on compression of ${s.firingOrder[0]}.`
})
const lines = computed(() => {
  const v = view.value!
  const s = sheet.value!
  const open = s.points.filter((p) => !p.done)
  const toMeasure = open.filter((p) => p.owesFound)
  const toSet = open.filter((p) => !p.owesFound)
  const waits = s.points.filter((p) => p.outcome === 'awaiting' || p.outcome === 'notReached' || p.outcome === 'leftSo')
  const unticked = s.steps.filter((x) => !x.point && x.asked && !x.ticked)
  const found = (p: (typeof open)[number]) =>
    p.found
      ? `${p.label} found ${p.found.state ? `${verdictWords[p.found.state]}, ` : ''}${readingText(p.found, figures.withUnit)}${p.attempts.length ? `; ${attemptsText(p.attempts, figures.figure)}` : ''}`
      : p.label
  const why = { awaiting: 'waits', notReached: 'not reached', leftSo: 'left as found' } as const
  return [
    {
      title: 'Crank',
      said: [crank.value, ...(v.context!.type.pins ? [`Before every turn: ${v.context!.type.pins} out?`] : [])],
    },
    {
      title: 'How',
      said: [
        `${methodNames[s.method]}${s.traySet ? `, blades: ${s.traySet}` : ''}${s.turnedBy ? `, turned by ${s.turnedBy}` : ''}.`,
      ],
    },
    {
      title: 'To measure',
      said: s.stops.flatMap((stop) => {
        const here = toMeasure.filter((p) => stop.points.includes(p.label)).map((p) => p.label)
        return here.length ? [`${s.byEye ? '' : `Stop ${stop.index + 1}: `}${here.join('  ')}`] : []
      }),
    },
    { title: 'To set', said: toSet.map(found) },
    { title: 'Waits', said: waits.map((p) => `${found(p)}: ${why[p.outcome as keyof typeof why]}, ${p.why ?? ''}`) },
    { title: 'Steps open', said: unticked.map((x) => x.text) },
    { title: 'Not here', said: s.steps.filter((x) => x.notHere).map((x) => `${x.text} ${x.why ?? ''}`) },
    { title: 'Counted', said: v.saidSteps.map((x) => `${stepText(v.context?.steps, x.step)} ${x.said}`) },
    { title: 'Parts changed', said: v.parts.map((p) => `${p.part}: ${p.why}`) },
    {
      title: 'Notes',
      said: v.notes.map((n) => `${n.point ? `${n.point}: ` : ''}${n.text} (${name(n.by)}, ${moment(n.at)})`),
    },
  ].filter((part) => part.said.length)
})
const text = computed(() =>
  [
    `${view.value!.context!.engine.name}, ${jobWord(view.value!.job)} of ${day(view.value!.date)}`,
    ...lines.value.flatMap((part) => ['', part.title, ...part.said.map((s) => `  ${s}`)]),
  ].join('\n'),
)
async function copy() {
  try {
    await navigator.clipboard.writeText(text.value)
    toast('Copied: paste it into a message.')
  } catch {
    toast('This browser gives no clipboard here: print it, or select the text.')
  }
}
const print = () => window.print()
</script>

<template>
  <Loaded :query="query" live what="visit" back="/at-the-engine" back-text="The open visits">
    <main v-if="view && sheet" class="page">
      <PaperHead what="Handover" />
      <div class="page-head">
        <div>
          <h1>{{ view.context?.engine.name }}: handover</h1>
          <p class="mb-0">
            {{ jobWord(view.job) }} of {{ day(view.date)
            }}<template v-if="sheet.shownHours != null">, {{ hours(sheet.shownHours) }} h</template> ·
            {{ view.state === 'open' ? 'still open' : view.state }}
          </p>
        </div>
        <div class="d-flex gap-2 no-print">
          <BButton class="btn-act" @click="print">Print</BButton>
          <BButton class="btn-plain" @click="copy">Copy as text</BButton>
          <BButton class="btn-plain" :to="{ name: 'visit', params: { id } }">Back to the bench</BButton>
        </div>
      </div>
      <section v-for="part in lines" :key="part.title" class="plate p-3 mb-2 part">
        <h2>{{ part.title }}</h2>
        <p v-for="s in part.said" :key="s" class="mb-1">{{ s }}</p>
      </section>
    </main>
  </Loaded>
</template>

<style scoped>
.part {
  break-inside: avoid;
}
h2 {
  font-size: 1.05rem;
  margin-bottom: 0.3rem;
}
</style>
