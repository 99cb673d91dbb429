import { computed, ref } from 'vue'
import { useQuery } from '@tanstack/vue-query'
import { Refusal, type Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { queries } from '../../../api/queries'
import { goneSince } from '../../../api/reach'
import type { Entry, Felt, Stage, WrittenEntry } from '../../../offline/entries'
import { outbox, putAway, unsentOf, unwritten, writeDown } from '../../../offline/outbox'
import { toRefusal } from '../../../api/refusal'
import { isHeld } from '../../../offline/sender'
import { useFoldedVisit } from '../../../offline/useFoldedVisit'

export type Visit = Schemas['VisitRecord']
export type Sheet = Schemas['SheetRecord']
export type Point = Schemas['SheetPointRecord']
export type SheetStep = Schemas['SheetStepRecord']
export type { Felt, Stage }

/** One try as the tray shows it; without an entry while it is only chosen. */
export type Trial = { blades: string[]; feel: Felt; entry?: string }

/** A reading as it grows. */
export interface Draft {
  reading: string
  point: string
  stage: Stage
  trials: Trial[]
  figure: string
  figureEntry?: string
  unit: string
}

/** What a rule refused, with the entry it refused. */
export interface Trouble {
  refusal: Refusal
  entry: WrittenEntry
}

/**
 * One visit on this screen: folded on this device from what the server has and what waits here, with the server or without.
 *
 *     const visit = useVisit(() => props.id, () => preferences.person)
 *     visit.add({ kind: 'kept', reading })
 */
export function useVisit(id: () => string, person: () => string) {
  const { query, quick } = useFoldedVisit(id)
  const everybody = useQuery(() => queries.everybody())
  const folded = computed(() => query.data.value ?? null)
  const view = computed(() => folded.value?.view ?? null)
  const sheet = computed(() => view.value?.sheet ?? null)
  const rows = computed(() => outbox.value.filter((row) => row.visitId === id()))
  const queue = computed(() => [
    ...rows.value.filter((row) => !row.refused),
    ...unwritten.value.filter((l) => l.visitId === id()),
  ])
  /** Refusals of this device that somebody has read: they are not shown again while they wait to be sent. */
  const understoodIds = ref(new Set<string>())
  const trouble = computed<Trouble | null>(() => {
    const first = rows.value.find((row) => row.refused)
    if (first) return { refusal: toRefusal(first.refused!), entry: first.entry }
    const no = folded.value?.outcomes.find((o) => o.problem && !understoodIds.value.has(o.id))
    const entry = no && unsentOf(id()).find((e) => e.id === no.id)
    return no && entry ? { refusal: toRefusal(no.problem as unknown as Record<string, unknown>), entry } : null
  })
  const saved = computed(() =>
    queue.value.length === 0 ? 'saved' : isHeld.value || goneSince.value !== null ? 'waiting' : 'saving',
  )
  const readings = new Map<string, string>()

  const name = (by: string) =>
    view.value?.context?.people.find((p) => p.id === by)?.name ??
    everybody.data.value?.find((p) => p.id === by)?.name ??
    ''

  /** Who tapped last on this device. */
  const lastHere = (): string | undefined => unsentOf(id()).at(-1)?.by

  function understood(): Promise<void> {
    understoodIds.value = new Set(folded.value?.outcomes.filter((o) => o.problem).map((o) => o.id))
    return putAway(id())
  }

  /** Writes entries down; what they lead to is shown at once, and the sender takes them from there. */
  async function add(...entries: Entry[]): Promise<void> {
    const point = entries.flatMap((e) => ('point' in e && e.point ? [e.point] : []))[0]
    void understood()
    const write = () => writeDown(id(), entries, person())
    await (point ? quick(point, write) : write())
  }

  /** The reading being made at a point. */
  function draftOf(point: Point, stage: Stage): Draft | null {
    const growing =
      stage === 'asFound' ? point.foundDraft : stage === 'beforeLock' ? point.beforeLockDraft : point.leftDraft
    if (!growing || (growing.tries.length === 0 && !growing.written)) return null
    return {
      reading: growing.id,
      point: point.label,
      stage,
      trials: growing.written ? [] : growing.tries,
      figure: growing.written ?? '',
      figureEntry: growing.written ? growing.lastEntry : undefined,
      unit: growing.unit,
    }
  }

  /** The identifier of the reading that grows at a point, or of the one to begin. */
  function readingFor(point: Point, stage: Stage): string {
    const draft = draftOf(point, stage)
    if (draft) return draft.reading
    const slot = `${point.label}/${stage}`
    // A reading that was kept is closed; the next figure there is another one.
    const kept = [point.found, point.beforeLock, point.left, ...point.attempts].map((r) => r?.id)
    const begun = readings.get(slot)
    if (begun && !kept.includes(begun)) return begun
    const fresh = newId()
    readings.set(slot, fresh)
    return fresh
  }

  return {
    query,
    view,
    sheet,
    saved,
    trouble,
    held: computed(() => folded.value?.held ?? null),
    name,
    lastHere,
    add,
    draftOf,
    readingFor,
    understood,
  }
}
