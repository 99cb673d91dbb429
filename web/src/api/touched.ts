import type { QueryClient, QueryKey } from '@tanstack/vue-query'

/** What a write can touch. */
export type Touched =
  | 'away'
  | 'call'
  | 'engine'
  | 'feel'
  | 'feed'
  | 'fleet'
  | 'instrument'
  | 'job'
  | 'meter'
  | 'person'
  | 'place'
  | 'plan'
  | 'run'
  | 'shim'
  | 'type'
  | 'visit'

/** What every outlook, and so every due date, rests on. */
const outlook: Touched[] = ['away', 'call', 'engine', 'fleet', 'meter', 'place', 'type', 'visit']

/** What each kind of answer rests on, by the first word of its key: told once here, so that no write has to know who shows what it changed. */
export const restsOn: Record<string, readonly Touched[]> = {
  drift: [...outlook, 'instrument', 'person'],
  engine: [...outlook, 'instrument', 'job', 'person', 'plan'],
  fleet: ['fleet'],
  hours: [...outlook, 'feed'],
  install: [],
  instruments: ['instrument', 'visit'],
  jobs: [...outlook, 'job', 'plan', 'shim'],
  machines: ['engine', 'place'],
  people: ['feel', 'person', 'visit'],
  plan: [...outlook, 'job', 'person', 'plan', 'run', 'shim'],
  shims: [...outlook, 'shim'],
  sites: ['engine', 'place'],
  types: ['engine', 'type'],
  visit: ['engine', 'fleet', 'job', 'person', 'type', 'visit'],
  visits: ['engine', 'visit'],
  yard: [...outlook, 'job', 'plan', 'run'],
  year: [...outlook, 'person', 'shim'],
}

/** The keys of all that rests on what was touched. */
export const staleBy = (...touched: Touched[]): QueryKey[] =>
  Object.entries(restsOn).flatMap(([root, things]) => (things.some((t) => touched.includes(t)) ? [[root]] : []))

/** Has everything that rests on what was touched asked again. */
export const makeStale = (client: QueryClient, ...touched: Touched[]): Promise<unknown> =>
  Promise.all(staleBy(...touched).map((queryKey) => client.invalidateQueries({ queryKey })))
