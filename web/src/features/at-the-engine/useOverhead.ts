import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { answer, api, Refusal, toRefusal, type Schemas } from '../../api/client'
import { newId } from '../../api/newId'

export type Overhead = Schemas['OverheadView']
export type Point = Schemas['OverheadPointView']
export type Stage = Schemas['ReadingStage']
export type Felt = NonNullable<Schemas['Feel']>
export type Trial = { blades: string[]; feel: Felt }

/** A reading as it grows on this screen, before it is kept. */
export interface Draft {
  readingId: string
  pointId: string
  stage: Stage
  trials: Trial[]
  figure: string
  unit: string
}

interface Pending {
  key: string
  method: 'PUT' | 'DELETE'
  path: string
  body?: Record<string, unknown>
  readingId?: string
  pointId?: string
  stage?: Stage
}

/** What the server would not take, with what stands there instead. */
export interface Trouble {
  refusal: Refusal
  entry: Pending
}

const pollEvery = 4_000
const retryAfter = 2_000

/**
 * One overhead on this screen. Every change is first written down on this machine, then sent, one after another; what cannot be sent stays in
 * the queue through a reload and is sent when the server is back. The same change sent twice does no harm: identifiers are made here.
 *
 *     const { view, change, draftOf } = useOverhead(() => props.id)
 */
export function useOverhead(id: () => string) {
  const view = shallowRef<Overhead | null>(null)
  const failure = ref<unknown>()
  const queue = ref<Pending[]>(read<Pending[]>(`zd-queue:${id()}`) ?? [])
  const drafts = ref<Record<string, Draft>>(read<Record<string, Draft>>(`zd-drafts:${id()}`) ?? {})
  const trouble = shallowRef<Trouble | null>(null)
  const offline = ref(false)
  let sending = false
  // Counts changes made here, so that an answer asked for before one of them is not taken for news.
  let changes = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  const saved = computed(() => (queue.value.length === 0 ? 'saved' : offline.value ? 'waiting' : 'saving'))

  function remember() {
    localStorage.setItem(`zd-queue:${id()}`, JSON.stringify(queue.value))
    localStorage.setItem(`zd-drafts:${id()}`, JSON.stringify(drafts.value))
  }

  const slot = (pointId: string, stage: Stage) => `${pointId}/${stage}`

  /** The reading being made for a point: this screen's, else one begun on another. */
  function draftOf(point: Point, stage: Stage): Draft | null {
    const local = drafts.value[slot(point.id, stage)]
    if (local) return local
    const remote = stage === 'asFound' ? point.foundDraft : point.leftDraft
    if (!remote) return null
    return {
      readingId: remote.id,
      pointId: point.id,
      stage,
      trials: remote.trials.map((t) => ({ blades: [...(t.blades ?? [])], feel: t.feel ?? 'free' })),
      figure: remote.written ?? '',
      unit: remote.unit,
    }
  }

  /** Writes a reading down here and sends it; with `keep` it becomes a fact. */
  function measure(
    draft: Draft,
    who: string,
    more: { keep?: boolean; why?: string; corrects?: string; sure?: boolean; byTheBook?: boolean } = {},
  ) {
    if (!more.corrects) drafts.value[slot(draft.pointId, draft.stage)] = draft
    trouble.value = null
    // Taps faster than the line: only the latest state of a reading has to arrive.
    queue.value = queue.value.filter((p, i) => (i === 0 && sending) || p.readingId !== draft.readingId)
    push({
      key: newId(),
      method: 'PUT',
      path: `/readings/${draft.readingId}`,
      readingId: draft.readingId,
      pointId: draft.pointId,
      stage: draft.stage,
      body: {
        pointId: draft.pointId,
        stage: draft.stage,
        trials: draft.trials,
        figure: draft.figure || null,
        unit: draft.unit,
        who,
        keep: more.keep ?? false,
        why: more.why ?? null,
        corrects: more.corrects ?? null,
        sure: more.sure ?? false,
        byTheBook: more.byTheBook ?? false,
      },
    })
  }

  /** Throws a reading away that was not kept. */
  function discard(draft: Draft) {
    delete drafts.value[slot(draft.pointId, draft.stage)]
    trouble.value = null
    queue.value = queue.value.filter((p, i) => (i === 0 && sending) || p.readingId !== draft.readingId)
    push({ key: newId(), method: 'DELETE', path: `/readings/${draft.readingId}`, readingId: draft.readingId })
  }

  /** Another change to the overhead: a tick, the condition, a proved stop, the signature. */
  function change(path: string, body: Record<string, unknown> = {}) {
    trouble.value = null
    push({ key: newId(), method: 'PUT', path, body })
  }

  /** Forget this screen's reading and go on with what stands on the server. */
  function useTheirs(entry: Pending) {
    if (entry.pointId && entry.stage) delete drafts.value[slot(entry.pointId, entry.stage)]
    trouble.value = null
    remember()
    void refresh()
  }

  /** Put this screen's trials onto the reading that stands on the server. */
  function useMine(entry: Pending, who: string) {
    const current = trouble.value?.refusal.body.current as Schemas['ReadingView'] | undefined
    const mine = entry.pointId && entry.stage ? drafts.value[slot(entry.pointId, entry.stage)] : undefined
    if (!current || !mine || current.kept) return
    measure({ ...mine, readingId: current.id }, who)
    queue.value = queue.value.map((p) =>
      p.readingId === current.id ? { ...p, body: { ...p.body, version: current.version } } : p,
    )
  }

  function push(entry: Pending) {
    changes++
    queue.value.push(entry)
    remember()
    void send()
  }

  function versionOf(entry: Pending): number {
    const known = view.value?.points.flatMap((p) => [p.foundDraft, p.leftDraft]).find((d) => d?.id === entry.readingId)
    return Math.max(known?.version ?? 0, typeof entry.body?.version === 'number' ? entry.body.version : 0)
  }

  async function send() {
    if (sending) return
    sending = true
    try {
      while (queue.value[0]) {
        const entry = queue.value[0]
        const body = entry.readingId && entry.body ? { ...entry.body, version: versionOf(entry) } : entry.body
        let response: Response
        try {
          response = await fetch(`/api/overheads/${id()}${entry.path}`, {
            method: entry.method,
            headers: { 'content-type': 'application/json' },
            body: body ? JSON.stringify(body) : undefined,
          })
        } catch {
          offline.value = true
          setTimeout(() => void send(), retryAfter)
          return
        }
        offline.value = false
        if (response.status >= 500) {
          trouble.value = { refusal: toRefusal(await response.json().catch(() => ({})), response.status), entry }
          setTimeout(() => void send(), retryAfter * 3)
          return
        }
        queue.value = queue.value.filter((p) => p.key !== entry.key)
        changes++
        if (response.ok) {
          view.value = (await response.json()) as Overhead
          if (entry.body?.keep && entry.pointId && entry.stage) delete drafts.value[slot(entry.pointId, entry.stage)]
        } else {
          trouble.value = { refusal: toRefusal(await response.json().catch(() => ({})), response.status), entry }
        }
        remember()
      }
    } finally {
      sending = false
    }
  }

  async function refresh() {
    const asked = changes
    try {
      const latest = await answer(api.GET('/api/overheads/{id}', { params: { path: { id: id() } } }))
      offline.value = false
      failure.value = undefined
      if (queue.value.length === 0 && asked === changes) view.value = latest
    } catch (caught) {
      if (caught instanceof Refusal || view.value === null) failure.value = caught
      offline.value = !(caught instanceof Refusal)
    }
  }

  function poll() {
    timer = setTimeout(async () => {
      if (!document.hidden && !sending) await refresh()
      poll()
    }, pollEvery)
  }

  onMounted(async () => {
    await refresh()
    void send()
    poll()
  })
  onBeforeUnmount(() => clearTimeout(timer))

  return { view, failure, saved, trouble, draftOf, measure, discard, change, useTheirs, useMine, refresh }
}

function read<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as T | null
  } catch {
    return null
  }
}
