<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { addDays, daysBetween } from '../../shared/figures/dayMath'
import { day } from '../../shared/figures/days'
import { plural } from '../../shared/words/counts'
import { boardDays, type Block } from './board'
import { boardRows, type BoardView } from './rows'
import type { Moving } from './useMoving'

/** Mechanics, machines or sites by days. A block is dragged by mouse or finger, or taken with Enter and moved with the arrows; what it would mean is said meanwhile. */
const props = defineProps<{
  plan: Schemas['PlanResponse']
  view: BoardView
  broken: Set<string>
  moving: Moving | null
  chosen: string
}>()
const emit = defineEmits<{
  choose: [jobId: string]
  hold: [jobId: string, personId: string, date: string]
  over: [personId: string, date: string]
  drop: []
  cancel: []
}>()
/** Beyond four weeks a job is one line with its name; the rest is said when it is pressed. */
const dense = computed(() => props.plan.days > 28)
const lane = computed(() => (dense.value ? 30 : 48))
const days = computed(() => boardDays(props.plan.from, props.plan.days))
const rows = computed(() => boardRows(props.plan, props.view))
const heldJob = computed(() => props.plan.jobs.find((j) => j.id === props.moving?.jobId))
const percent = (count: number) => `${(count / props.plan.days) * 100}%`
const body = ref<HTMLElement>()

function under(event: PointerEvent) {
  const rowsOf = [...(body.value?.querySelectorAll<HTMLElement>('[data-row]') ?? [])]
  const row = rowsOf.find((r) => {
    const box = r.getBoundingClientRect()
    return event.clientY >= box.top && event.clientY < box.bottom
  })
  const grid = row?.querySelector<HTMLElement>('.grid')?.getBoundingClientRect()
  if (!row || !grid) return null
  const at = Math.floor(((event.clientX - grid.left) / grid.width) * props.plan.days)
  // Over a machine or a site only the day changes.
  const personId = row.dataset.person ?? from?.block.placement.personId
  return personId && at >= 0 && at < props.plan.days ? { personId, date: addDays(props.plan.from, at) } : null
}
let from: { x: number; y: number; block: Block } | null = null
let dragged = false
function down(event: PointerEvent, block: Block) {
  if (event.button !== 0 || block.asMate) return
  from = { x: event.clientX, y: event.clientY, block }
  dragged = false
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (!from) return
  if (!dragged && Math.hypot(event.clientX - from.x, event.clientY - from.y) < 6) return
  if (!dragged) emit('hold', from.block.job.id, from.block.personId, from.block.placement.date)
  dragged = true
  const at = under(event)
  if (at) emit('over', at.personId, at.date)
}
function up() {
  if (from && dragged) emit('drop')
  from = null
}
function lost() {
  if (from && dragged) emit('cancel')
  from = null
}
function click(block: Block) {
  if (!dragged) emit('choose', block.job.id)
  dragged = false
}
function keys(event: KeyboardEvent, block: Block) {
  const held = props.moving
  if (!held || held.jobId !== block.job.id) {
    if (event.key === 'Enter' && !block.asMate) {
      event.preventDefault()
      emit('choose', block.job.id)
      emit('hold', block.job.id, block.personId, block.placement.date)
    }
    return
  }
  const people = props.plan.people.map((p) => p.id)
  const row = people.indexOf(held.personId)
  const to = {
    ArrowLeft: [held.personId, addDays(held.date, -1)],
    ArrowRight: [held.personId, addDays(held.date, 1)],
    ArrowUp: [people[Math.max(0, row - 1)]!, held.date],
    ArrowDown: [people[Math.min(people.length - 1, row + 1)]!, held.date],
  }[event.key]
  if (event.key === 'Enter') emit('drop')
  else if (event.key === 'Escape') emit('cancel')
  else if (!to) return
  else if (daysBetween(props.plan.from, to[1]!) >= 0) emit('over', to[0]!, to[1]!)
  event.preventDefault()
}
const lateBy = (block: Block) => (block.due == null ? 0 : block.start + block.length - 1 - block.due)
const tone = (block: Block) =>
  props.broken.has(block.job.id) ? 'broken' : block.job.foundTight ? 'tight' : lateBy(block) > 0 ? 'late' : ''
const says = (block: Block) =>
  `${block.job.engine}, ${block.job.title}, ${day(block.placement.date)}${block.placement.pinned ? ', pinned' : ''}${block.asMate ? ', as the second' : ''}${props.broken.has(block.job.id) ? ', cannot stand here' : ''}${lateBy(block) > 0 ? `, ${plural(lateBy(block), 'day')} late` : ''}`
</script>

<template>
  <div class="scroll">
    <div class="board" :class="{ dense }">
      <div class="head">
        <span class="who" />
        <div class="grid dates" :style="{ gridTemplateColumns: `repeat(${plan.days}, 1fr)` }">
          <span v-for="(d, i) in days" :key="d.iso" :class="{ weekend: d.isWeekend, today: d.iso === plan.today }">
            <span v-if="d.isMonday || i === 0" class="monday">{{ day(d.iso).replace(/ \d{4}$/, '') }}</span>
            <span v-if="plan.days <= 42" aria-hidden="true">{{ d.letter }}</span>
          </span>
        </div>
      </div>
      <div ref="body">
        <section
          v-for="row in rows"
          :key="row.key"
          class="mechanic plate"
          :data-row="row.key"
          :data-person="row.person?.id"
          :aria-label="row.name"
        >
          <div class="who">
            <strong>{{ row.name }}</strong>
            <span v-for="line in row.below" :key="line" class="small soft">{{ line }}</span>
          </div>
          <div class="grid" :style="{ minHeight: `${row.lanes * lane + 8}px` }">
            <span
              v-for="(h, i) in row.person?.hours ?? days.map((d) => (d.isWeekend ? 0 : 1))"
              :key="i"
              class="day"
              :class="{ off: h === 0, monday: days[i]!.isMonday }"
              :style="{ left: percent(i), width: percent(1) }"
            />
            <span
              v-if="moving && moving.personId === row.person?.id"
              class="ghost"
              :class="{ bad: moving.check && !moving.check.fits }"
              :style="{ left: percent(daysBetween(plan.from, moving.date)), width: percent(1) }"
            />
            <template v-for="b in row.blocks" :key="b.job.id">
              <span
                v-if="b.due != null && b.due >= b.start && b.due < plan.days"
                class="runway"
                :style="{
                  left: percent(b.start),
                  width: percent(b.due - b.start + 1),
                  top: `${b.lane * lane + (dense ? 27 : 46)}px`,
                }"
              />
              <button
                type="button"
                class="block"
                :class="[
                  tone(b),
                  {
                    pinned: b.placement.pinned,
                    chosen: chosen === b.job.id,
                    mate: b.asMate,
                    held: moving?.jobId === b.job.id,
                  },
                ]"
                :style="{ left: percent(b.start), width: percent(b.length), top: `${b.lane * lane + 6}px` }"
                :aria-label="says(b)"
                @pointerdown="down($event, b)"
                @pointermove="move"
                @pointerup="up"
                @pointercancel="lost"
                @click="click(b)"
                @keydown="keys($event, b)"
              >
                <svg viewBox="0 0 20 16" width="16" height="13" aria-hidden="true">
                  <template v-if="b.placement.pinned">
                    <circle cx="10" cy="5" r="4.4" fill="currentColor" />
                    <path d="M10 8 V16" stroke="currentColor" stroke-width="2" />
                  </template>
                  <path v-else d="M0 5 H20 M0 11 H20" stroke="currentColor" stroke-width="3" />
                </svg>
              </button>
              <span
                class="name"
                aria-hidden="true"
                :style="{ left: percent(b.start + b.length), top: `${b.lane * lane + 6}px` }"
                >{{ b.job.engine
                }}<span v-if="!dense" class="soft small"
                  >{{ view === 'mechanic' ? b.job.site : plan.people.find((p) => p.id === b.placement.personId)?.name
                  }}{{ lateBy(b) > 0 ? `, ${plural(lateBy(b), 'day')} late` : '' }}</span
                ></span
              >
            </template>
          </div>
        </section>
      </div>
    </div>
  </div>
  <p v-if="moving && heldJob" class="says" role="status">
    <strong>{{ heldJob.engine }}</strong>, {{ plan.people.find((p) => p.id === moving!.personId)?.name }},
    {{ day(moving.date) }}:
    {{ moving.failure || moving.check?.sentence || '…' }}
  </p>
</template>

<style scoped src="./board.css" />
