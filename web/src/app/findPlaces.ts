import type { RouteLocationRaw } from 'vue-router'
import type { Schemas } from '../api/client'
import { machineNames } from '../shared/words/machines'
import { pages } from '../shared/words/pages'

/** Somewhere to go: what it is called, what else is said of it, what it is. */
export interface Place {
  kind: 'engine' | 'place' | 'type' | 'person' | 'page'
  name: string
  also: string
  to: RouteLocationRaw
}

/** Pages that need something to be about are reached through it. */
const alone = pages.filter((p) => !['engine', 'visit', 'record', 'slip'].includes(p.routes[0]!))

/** All that can be gone to. */
export function placesToGo(
  engines: Pick<Schemas['DueRow'], 'engineId' | 'name' | 'site' | 'typeCode' | 'machine'>[],
  types: Pick<Schemas['EngineTypeSummary'], 'id' | 'code' | 'name'>[],
  people: Pick<Schemas['PersonResponse'], 'id' | 'name'>[],
): Place[] {
  return [
    ...engines.map((e) => ({
      kind: 'engine' as const,
      name: e.name,
      also: `${machineNames[e.machine]}, ${e.site}`,
      to: { name: 'engine', params: { id: e.engineId } },
    })),
    ...[...new Set(engines.map((e) => e.site))].map((site) => ({
      kind: 'place' as const,
      name: site,
      also: 'its engines',
      to: { name: 'yard', query: { site } },
    })),
    ...types.map((t) => ({
      kind: 'type' as const,
      name: t.code,
      also: t.name === t.code ? '' : t.name,
      to: { name: 'book', params: { id: t.id } },
    })),
    ...people.map((p) => ({
      kind: 'person' as const,
      name: p.name,
      also: 'how they measure',
      to: { name: 'hand', params: { id: p.id } },
    })),
    ...alone.map((p) => ({ kind: 'page' as const, name: p.title, also: '', to: { name: p.routes[0]! } })),
  ]
}

const most = 30

/** Those in which every word stands, such as begin with the first one before the rest. */
export function foundIn(all: Place[], words: string): Place[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
  if (!wanted.length) return all.filter((p) => p.kind === 'page')
  const found = all.filter((p) => {
    const said = `${p.name} ${p.also}`.toLowerCase()
    return wanted.every((word) => said.includes(word))
  })
  const begins = (p: Place) => (p.name.toLowerCase().startsWith(wanted[0]!) ? 0 : 1)
  return found.sort((a, b) => begins(a) - begins(b)).slice(0, most)
}
