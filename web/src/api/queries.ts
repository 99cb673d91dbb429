import { queryOptions } from '@tanstack/vue-query'
import { answer, api, type Schemas } from './client'

/**
 * All that is asked of the server, each with its key in one place.
 *
 *     const engine = useQuery(() => queries.engine(props.id))
 */
export const queries = {
  fleet: () => queryOptions({ queryKey: ['fleet'], queryFn: () => answer(api.GET('/api/fleet')) }),
  yard: () => queryOptions({ queryKey: ['yard'], queryFn: () => answer(api.GET('/api/due')) }),
  engine: (id: string) =>
    queryOptions({
      queryKey: ['engine', id],
      queryFn: () => answer(api.GET('/api/engines/{id}', { params: { path: { id } } })),
    }),
  engineDrift: (id: string) =>
    queryOptions({
      queryKey: ['engine', id, 'drift'],
      queryFn: () => answer(api.GET('/api/engines/{id}/drift', { params: { path: { id } } })),
    }),
  /** A stretch of days, both included; undefined for the twelve months up to today. */
  year: (from?: string, until?: string) =>
    queryOptions({
      queryKey: ['year', from, until],
      queryFn: () => answer(api.GET('/api/year', { params: { query: { from, until } } })),
    }),
  fleetDrift: () => queryOptions({ queryKey: ['drift'], queryFn: () => answer(api.GET('/api/drift')) }),
  hand: (id: string) =>
    queryOptions({
      queryKey: ['people', id, 'hand'],
      queryFn: () => answer(api.GET('/api/people/{id}/hand', { params: { path: { id } } })),
    }),
  engineChanges: (id: string) =>
    queryOptions({
      queryKey: ['engine', id, 'changes'],
      queryFn: () => answer(api.GET('/api/engines/{id}/changes', { params: { path: { id } } })),
    }),
  types: () => queryOptions({ queryKey: ['types'], queryFn: () => answer(api.GET('/api/engine-types')) }),
  type: (id: string) =>
    queryOptions({
      queryKey: ['types', id],
      queryFn: () => answer(api.GET('/api/engine-types/{id}', { params: { path: { id } } })),
    }),
  people: () => queryOptions({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')) }),
  /** Those put away too: a record names whoever measured. */
  everybody: () =>
    queryOptions({
      queryKey: ['people', 'all'],
      queryFn: () => answer(api.GET('/api/people', { params: { query: { archived: true } } })),
    }),
  /** Eight weeks, where nobody asks for another stretch. */
  plan: (days = 56) =>
    queryOptions({
      queryKey: ['plan', days],
      queryFn: () => answer(api.GET('/api/plan', { params: { query: { days } } })),
    }),
  planOutlook: () =>
    queryOptions({ queryKey: ['plan', 'outlook'], queryFn: () => answer(api.GET('/api/plan/outlook')) }),
  planVersions: () =>
    queryOptions({ queryKey: ['plan', 'versions'], queryFn: () => answer(api.GET('/api/plan/versions')) }),
  releases: (jobId: string, days: number) =>
    queryOptions({
      queryKey: ['plan', 'releases', jobId, days],
      queryFn: () => answer(api.GET('/api/plan/releases/{jobId}', { params: { path: { jobId }, query: { days } } })),
    }),
  planRun: () => queryOptions({ queryKey: ['plan', 'run'], queryFn: () => answer(api.GET('/api/plan/run')) }),
  jobs: () => queryOptions({ queryKey: ['jobs'], queryFn: () => answer(api.GET('/api/jobs')) }),
  hoursAhead: (id: string, asked: { hours?: number; date?: string }) =>
    queryOptions({
      queryKey: ['engine', id, 'hours-ahead', asked],
      queryFn: () => answer(api.GET('/api/engines/{id}/hours-ahead', { params: { path: { id }, query: asked } })),
    }),
  round: () => queryOptions({ queryKey: ['hours', 'round'], queryFn: () => answer(api.GET('/api/hours/round')) }),
  waitingHours: () =>
    queryOptions({ queryKey: ['hours', 'waiting'], queryFn: () => answer(api.GET('/api/hours/waiting')) }),
  hoursFeed: () => queryOptions({ queryKey: ['hours', 'feed'], queryFn: () => answer(api.GET('/api/hours/feed')) }),
  shimDrawers: () =>
    queryOptions({ queryKey: ['shims', 'drawers'], queryFn: () => answer(api.GET('/api/shim-drawers')) }),
  shimMovements: (id: string) =>
    queryOptions({
      queryKey: ['shims', 'movements', id],
      queryFn: () => answer(api.GET('/api/shim-drawers/{id}/movements', { params: { path: { id } } })),
    }),
  /** Which shim would go where: worked out anew with every choice. */
  shimBench: (body: Schemas['BenchRequest']) =>
    queryOptions({
      queryKey: ['shims', 'bench', body],
      queryFn: () => answer(api.POST('/api/shim-bench', { body })),
      retry: false,
    }),
  shimJobs: (asked: { engineId?: string; open?: boolean }) =>
    queryOptions({
      queryKey: ['shims', 'jobs', asked],
      queryFn: () => answer(api.GET('/api/shim-jobs', { params: { query: asked } })),
    }),
  engineLeft: (id: string) =>
    queryOptions({
      queryKey: ['engine', id, 'left'],
      queryFn: () => answer(api.GET('/api/engines/{id}/left', { params: { path: { id } } })),
    }),
  engineShims: (id: string) =>
    queryOptions({
      queryKey: ['shims', 'engine', id],
      queryFn: () => answer(api.GET('/api/engines/{id}/shims', { params: { path: { id } } })),
    }),
  shimsToHold: (siteId: string) =>
    queryOptions({
      queryKey: ['shims', 'site', siteId],
      queryFn: () => answer(api.GET('/api/sites/{id}/shims-to-hold', { params: { path: { id: siteId } } })),
    }),
  shimJob: (id: string) =>
    queryOptions({
      queryKey: ['shims', 'job', id],
      queryFn: () => answer(api.GET('/api/shim-jobs/{id}', { params: { path: { id } } })),
    }),
  instruments: () => queryOptions({ queryKey: ['instruments'], queryFn: () => answer(api.GET('/api/instruments')) }),
  sites: () => queryOptions({ queryKey: ['sites'], queryFn: () => answer(api.GET('/api/sites')) }),
  machines: () => queryOptions({ queryKey: ['machines'], queryFn: () => answer(api.GET('/api/machines')) }),
  install: () => queryOptions({ queryKey: ['install'], queryFn: () => answer(api.GET('/api/install')) }),
  openVisits: () =>
    queryOptions({
      queryKey: ['visits', 'open'],
      queryFn: () => answer(api.GET('/api/visits', { params: { query: { open: true } } })),
    }),
  visit: (visitId: string) =>
    queryOptions({
      queryKey: ['visit', visitId],
      queryFn: () => answer(api.GET('/api/visits/{visitId}', { params: { path: { visitId } } })),
    }),
  visitEntries: (visitId: string) =>
    queryOptions({
      queryKey: ['visit', visitId, 'entries'],
      queryFn: () => answer(api.GET('/api/visits/{visitId}/entries', { params: { path: { visitId } } })),
    }),
}
