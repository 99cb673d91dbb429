import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { sentence, type Schemas } from '../../../api/client'
import { newId } from '../../../api/newId'
import { queries } from '../../../api/queries'
import { goneSince } from '../../../api/reach'
import { useWrite, writes } from '../../../api/writes'
import { useMe } from '../../../shared/fields/useMe'
import { toast } from '../../../shared/toasts/toasts'
import { accessNames, size } from '../../../shared/words/shims'
import type { Point, Visit } from './useVisit'

type Held = { drawer: Schemas['DrawerResponse']; held: Schemas['HeldResponse'] }

/** The loose shims of the place where the engine stands, and what was decided for a point; both only while there is a server. */
export function useLooseShims(view: () => Visit, point: () => Point) {
  const drawers = useQuery(() => queries.shimDrawers())
  const jobs = useQuery(() => queries.shimJobs({ engineId: view().engineId, open: true }))
  const engine = useQuery(() => queries.engine(view().engineId))
  const move = useWrite(writes.moveShims)
  const me = useMe()
  const here = computed(() =>
    goneSince.value === null ? (drawers.data.value ?? []).filter((d) => d.site === view().context?.engine.site) : [],
  )
  /** What was decided for this point, at the bench or before this visit. */
  const decided = computed((): { newMm: number; from: string } | null => {
    const place = jobs.data.value
      ?.flatMap((j) => j.places)
      .find((p) => p.point === point().label && !p.fitted && p.visitId === view().visitId)
    const planned = point().shim?.planned
    if (place) return { newMm: place.newMm, from: words[place.origin](place.fromPoint) }
    return planned ? { newMm: planned.newMm, from: words[planned.origin](planned.fromPoint) } : null
  })

  const diameter = computed(() => engine.data.value?.type.shimDiameterMm ?? null)

  /** The drawer here that holds this size for this kind of place and, where both are known, of this diameter; the first by name. */
  function holding(mm: number): Held | null {
    for (const drawer of here.value)
      for (const held of drawer.held)
        if (
          held.access === point().shim?.access &&
          (held.diameterMm == null || diameter.value == null || Math.abs(held.diameterMm - diameter.value) <= 0.005) &&
          Math.abs(held.sizeMm - mm) < 5e-5
        )
          return { drawer, held }
    return null
  }
  /** Takes one out; the movement it is known by, or why the drawer did not give it: somebody else has the last one. */
  async function take({ drawer, held }: Held): Promise<{ movement: string } | { refused: string }> {
    const id = newId()
    try {
      await move.mutateAsync({
        drawerId: drawer.id,
        id,
        kind: 'out',
        access: held.access,
        diameterMm: held.diameterMm ?? undefined,
        size: held.written,
        unit: held.unit,
        count: 1,
        who: me() ?? view().context?.people[0]?.name ?? '',
        why: `Fitted: ${view().context?.engine.name}, ${point().label}.`,
      })
      return { movement: id }
    } catch (caught) {
      return { refused: `${drawer.name}: ${sentence(caught)}` }
    }
  }
  /** The shim that came out goes into a drawer. */
  async function put(drawer: Schemas['DrawerResponse'], mm: number, id: string) {
    const access = point().shim!.access
    try {
      await move.mutateAsync({
        drawerId: drawer.id,
        id,
        kind: 'in',
        access,
        diameterMm: diameter.value ?? undefined,
        size: size(mm),
        unit: 'mm',
        count: 1,
        knownBy: point().shim?.found?.how ?? 'micrometer',
        who: me() ?? '',
        why: `Came out: ${view().context?.engine.name}, ${point().label}.`,
      })
      toast(`${size(mm)} lies in ${drawer.name} now (${accessNames[access]}).`)
      return true
    } catch (caught) {
      toast(sentence(caught))
      return false
    }
  }
  return { here, decided, holding, take, put }
}

const words: Record<Schemas['ShimOrigin'], (point?: string | null) => string> = {
  point: (p) => `from ${p}`,
  drawer: () => 'laid out',
  buy: () => 'ordered',
}
