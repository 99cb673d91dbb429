import type { RouteLocationRaw } from 'vue-router'
import type { Schemas } from '../api/client'
import { machineNames } from '../shared/words/machines'
import { pages, standsAlone } from '../shared/words/pages'
import { hasWords } from '../shared/words/search'

/** Somewhere to go: what it is called, what else is said of it, what it is. */
export interface Place {
  kind: 'engine' | 'place' | 'type' | 'person' | 'page'
  name: string
  also: string
  to: RouteLocationRaw
}

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
    ...pages
      .filter(standsAlone)
      .map((p) => ({ kind: 'page' as const, name: p.title, also: '', to: { name: p.routes[0]! } })),
  ]
}

const most = 30

/** Those in which every word stands, those that begin with the first of them before the rest; the pages before anything is typed. */
export function foundIn(all: Place[], typed: string): Place[] {
  const wanted = typed.trim().toLowerCase()
  if (!wanted) return all.filter((p) => p.kind === 'page')
  const found = all.filter(hasWords(typed, (p) => `${p.name} ${p.also}`))
  const first = wanted.split(/\s/)[0]!
  const begins = (p: Place) => (p.name.toLowerCase().startsWith(first) ? 0 : 1)
  return found.sort((a, b) => begins(a) - begins(b)).slice(0, most)
}
