<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { kindWord, letterOf } from '../shared/words/points'
import { banksOf } from './banksOf'

/**
 * The heads from above: cylinders and lash points where they sit, FRONT to the left, one line a bank however long it is, so that a straight engine looks
 * straight; what does not fit is scrolled, with the point at hand in the middle. Every point is a key as large as a thumb.
 */
export interface HeadPoint {
  label: string
  cylinder: number
  kind: string
  place?: string | null
  bank: number
  along: number
  figure?: string | null
  state?: 'tight' | 'loose' | 'inWindow' | 'borderline' | null
  dim?: boolean
}
const props = defineProps<{
  points: HeadPoint[]
  current?: string | null
  /** A picture only, with nothing to press. */
  still?: boolean
  /** Seen from the other side: front to the right. */
  mirrored?: boolean
}>()
defineEmits<{ pick: [label: string] }>()

const banks = computed(() => {
  const seen = banksOf(props.points)
  if (!props.mirrored) return seen
  return [...seen].reverse().map((bank) => [...bank].reverse().map((c) => ({ ...c, points: [...c.points].reverse() })))
})
const box = useTemplateRef<HTMLElement>('box')
watch(
  () => props.current,
  () =>
    void nextTick(() => {
      for (const bank of box.value?.querySelectorAll<HTMLElement>('.bank') ?? []) {
        const point = bank.querySelector<HTMLElement>('.current')
        // Its own line alone: the page stays where it is.
        if (point) bank.scrollLeft = point.offsetLeft - (bank.clientWidth - point.offsetWidth) / 2
      }
    }),
  { immediate: true },
)
/** What the letter and the figure leave unsaid. */
const more = (p: HeadPoint) =>
  [kindWord(p.kind), p.place, p.state && p.state !== 'inWindow' ? p.state : ''].filter(Boolean).join(', ')
</script>

<template>
  <div ref="box" role="group" :aria-label="`Head map, front to the ${mirrored ? 'right' : 'left'}`">
    <span class="caps d-block" :class="{ 'text-end': mirrored }">{{ mirrored ? 'Front ▸' : '◂ Front' }}</span>
    <div v-for="(bank, b) in banks" :key="b" class="bank">
      <div v-for="c in bank" :key="c.cylinder" class="bore">
        <span class="cylinder">{{ c.cylinder }}</span>
        <div class="points">
          <component
            :is="still ? 'span' : 'button'"
            v-for="p in c.points"
            :key="p.label"
            :type="still ? undefined : 'button'"
            class="point"
            :data-point="p.label"
            :class="[p.state ? `is-${p.state}` : '', { dim: p.dim, current: p.label === current }]"
            :aria-current="p.label === current || undefined"
            @click="$emit('pick', p.label)"
          >
            <span class="visually-hidden">{{ p.cylinder }}</span>
            <span class="letter">{{ letterOf(p.label)[0] }}</span>
            <span v-if="p.figure" class="value figure">{{ p.figure }}</span>
            <span class="visually-hidden">{{ more(p) }}</span>
          </component>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.bank {
  position: relative;
  display: flex;
  gap: 3px;
  margin-top: 4px;
  overflow-x: auto;
  overscroll-behavior-x: contain;
  scrollbar-width: thin;
}
.bank + .bank {
  border-top: 2px dotted var(--line);
  padding-top: 6px;
  margin-top: 8px;
}
.bore {
  border: 1px solid var(--hairline);
  padding: 0;
  flex: 1 0 auto;
  max-width: 260px;
}
.cylinder {
  display: block;
  text-align: center;
  font-weight: 700;
  font-size: 0.85rem;
}
.points {
  display: flex;
  gap: 1px;
}
.point {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  flex: 1;
  min-width: 44px;
  min-height: 44px;
  padding: 0;
  border: 1.4px solid var(--ink);
  background: var(--plate);
  color: var(--ink);
  line-height: 1.15;
}
.letter {
  font-weight: 700;
  font-size: 0.85rem;
}
.value {
  font-size: 0.78rem;
}
.dim {
  background: var(--shade);
  border-color: var(--line);
  color: var(--ink-soft);
}
.point.is-tight {
  color: var(--tight);
  border-color: var(--tight);
  border-width: 2.4px;
}
.point.is-loose {
  color: var(--loose);
  border-color: var(--loose);
  border-width: 2.4px;
}
.point.current {
  background: var(--blue);
  border-color: var(--blue);
  color: var(--on-blue);
}
</style>
