import { computed } from 'vue'
import { useQuery } from '@tanstack/vue-query'
import { Refusal, type Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { queries } from '../../../api/queries'
import { goneSince } from '../../../api/reach'
import type { Entry, Felt, Stage, WrittenEntry } from '../../../offline/entries'
import { refusalOf } from '../../../offline/exchange'
import { useFollowedVisit } from '../../../offline/follow'
import { putAway, refused, waiting, writeDown } from '../../../offline/outbox'
import { heldBecause, isHeld } from '../../../offline/sender'

export type Visit = Schemas['VisitRecord']
export type Sheet = Schemas['SheetRecord']
export type Point = Schemas['SheetPointRecord']
export type { Felt, Stage }

/** One try as the tray shows it; without an entry while it is only chosen. */
export type Trial = { blades: string[]; feel: Felt; entry?: string }

/** A reading as it grows: what the server has of it, and what still waits to be sent. */
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
 * One visit on this screen: the server's view of it, followed live, and what of it still waits in the outbox.
 *
 *     const visit = useVisit(() => props.id, () => preferences.person)
 *     visit.add({ kind: 'kept', reading })
 */
export function useVisit(id: () => string, person: () => string) {
  const query = useFollowedVisit(id)
  const everybody = useQuery(() => queries.everybody())
  const view = computed(() => query.data.value ?? null)
  const sheet = computed(() => view.value?.sheet ?? null)
  const queue = computed(() => waiting.value.filter((w) => w.visitId === id()).map((w) => w.entry))
  const trouble = computed<Trouble | null>(() => {
    const first = refused.value.find((r) => r.visitId === id())
    if (first) return { refusal: refusalOf(first.problem), entry: first.entry }
    return heldBecause.value && heldBecause.value.status < 500 && queue.value[0]
      ? { refusal: heldBecause.value, entry: queue.value[0] }
      : null
  })
  const saved = computed(() =>
    queue.value.length === 0 ? 'saved' : isHeld.value || goneSince.value !== null ? 'waiting' : 'saving',
  )
  const readings = new Map<string, string>()

  const name = (by: string) =>
    view.value?.context?.people.find((p) => p.id === by)?.name ??
    everybody.data.value?.find((p) => p.id === by)?.name ??
    ''

  /** Writes entries down; the sender takes them from there. */
  function add(...entries: Entry[]): void {
    putAway(id())
    for (const entry of entries) writeDown(id(), entry, person())
  }

  /** The reading being made at a point: what the server has, and what waits here. */
  function draftOf(point: Point, stage: Stage): Draft | null {
    const remote = stage === 'asFound' ? point.foundDraft : point.leftDraft
    const undone = new Set(queue.value.flatMap((e) => (e.kind === 'undone' ? [e.entry] : [])))
    const own = queue.value.filter(
      (e) =>
        (e.kind === 'tried' || e.kind === 'figureRead') &&
        e.point === point.label &&
        e.stage === stage &&
        !undone.has(e.id),
    )
    const last = own.at(-1)
    if (!remote && !last) return null
    const known = (remote?.tries ?? []).filter((t) => !undone.has(t.entry))
    const mine = own.flatMap((e) =>
      e.kind === 'tried' && !known.some((t) => t.entry === e.id)
        ? [{ blades: e.blades, feel: e.feel, entry: e.id }]
        : [],
    )
    const figure = last?.kind === 'figureRead' ? last : null
    const shown = !!remote?.written && !undone.has(remote.lastEntry)
    const trials = figure || (shown && mine.length === 0) ? [] : [...known, ...mine]
    if (trials.length === 0 && !figure && !shown) return null
    return {
      reading: remote?.id ?? (last as { reading: string }).reading,
      point: point.label,
      stage,
      trials,
      figure: figure?.figure ?? (shown ? (remote?.written ?? '') : ''),
      figureEntry: figure?.id ?? (shown ? remote?.lastEntry : undefined),
      unit: figure?.unit ?? remote?.unit ?? 'mm',
    }
  }

  /** The identifier of the reading that grows at a point, or of the one to begin. */
  function readingFor(point: Point, stage: Stage): string {
    const draft = draftOf(point, stage)
    if (draft) return draft.reading
    const slot = `${point.label}/${stage}`
    // A reading that was kept is closed; the next figure there is another one.
    const kept = [point.found?.id, point.left?.id]
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
    name,
    add,
    draftOf,
    readingFor,
    understood: () => putAway(id()),
  }
}
