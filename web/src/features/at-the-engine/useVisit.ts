import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { answer, api, Refusal, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import type { Entry, Felt, Stage, WrittenEntry } from '../../offline/entries'
import { exchange, refusalOf } from '../../offline/exchange'
import { done, waiting, writeDown } from '../../offline/outbox'

export type Visit = Schemas['VisitRecord']
export type Sheet = Schemas['SheetRecord']
export type Point = Schemas['SheetPointRecord']
export type Reading = Schemas['SheetReadingRecord']
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

const pollEvery = 2_000
const retryAfter = 2_000

/**
 * One visit on this screen. Every entry is first written down on this machine, then sent in order; what cannot be sent waits through a reload and
 * goes when the server is back. The same entry sent twice does no harm: identifiers are made here.
 *
 *     const { view, sheet, add, draftOf } = useVisit(() => props.id, () => preferences.person)
 */
export function useVisit(id: () => string, person: () => string) {
  const view = shallowRef<Visit | null>(null)
  const sheet = computed(() => view.value?.sheet ?? null)
  const failure = ref<unknown>()
  const queue = shallowRef<WrittenEntry[]>(waiting(id()))
  const trouble = shallowRef<Trouble | null>(null)
  const offline = ref(false)
  const readings = new Map<string, string>()
  let sending = false
  let alive = true
  let timer: ReturnType<typeof setTimeout> | undefined

  const saved = computed(() => (queue.value.length === 0 ? 'saved' : offline.value ? 'waiting' : 'saving'))
  const name = (by: string) => view.value?.context?.people.find((p) => p.id === by)?.name ?? people.value[by] ?? ''
  const people = shallowRef<Record<string, string>>({})

  /** Writes entries down and sends them. */
  function add(...entries: Entry[]): void {
    trouble.value = null
    for (const entry of entries) writeDown(id(), entry, person())
    queue.value = waiting(id())
    void send()
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

  async function send(): Promise<void> {
    if (sending || !alive) return
    sending = true
    try {
      for (;;) {
        const batch = waiting(id()).slice(0, 400)
        if (batch.length === 0) break
        let outcomes: Schemas['EntryOutcomeResponse'][]
        try {
          outcomes = (await exchange(id(), batch)).outcomes
        } catch (caught) {
          // Whatever keeps the whole batch from being taken, it stays written down here and is tried again: nobody's figure is thrown away.
          offline.value = !(caught instanceof Refusal) || caught.status >= 500
          if (caught instanceof Refusal && caught.status < 500) trouble.value = { refusal: caught, entry: batch[0]! }
          setTimeout(() => void send(), retryAfter)
          return
        }
        offline.value = false
        for (const outcome of outcomes) {
          const refusal = refusalOf(outcome)
          const entry = batch.find((e) => e.id === outcome.id)
          if (refusal && entry && !trouble.value) trouble.value = { refusal, entry }
        }
        await refresh()
        for (const outcome of outcomes) done(id(), outcome.id)
        queue.value = waiting(id())
      }
    } finally {
      sending = false
    }
  }

  async function refresh(): Promise<void> {
    try {
      view.value = await answer(api.GET('/api/visits/{visitId}', { params: { path: { visitId: id() } } }))
      offline.value = false
      failure.value = undefined
    } catch (caught) {
      if (caught instanceof Refusal || view.value === null) failure.value = caught
      offline.value = !(caught instanceof Refusal)
    }
  }

  function poll(): void {
    timer = setTimeout(async () => {
      if (!document.hidden && !sending) {
        await refresh()
        queue.value = waiting(id())
        if (queue.value.length > 0) void send()
      }
      if (alive) poll()
    }, pollEvery)
  }

  onMounted(async () => {
    await refresh()
    void send()
    poll()
    const all = await answer(api.GET('/api/people')).catch(() => [])
    people.value = Object.fromEntries(all.map((p) => [p.id, p.name]))
  })
  onBeforeUnmount(() => {
    alive = false
    clearTimeout(timer)
  })

  return { view, sheet, failure, saved, trouble, name, add, draftOf, readingFor, refresh }
}
