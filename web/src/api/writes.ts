import { useMutation, useQueryClient, type QueryKey } from '@tanstack/vue-query'
import { answer, api, type Schemas } from './client'

/** A change sent to the server, and what is stale once it stands. */
export interface Write<Given, Made> {
  send: (given: Given) => Promise<Made>
  stale: (given: Given, made: Made) => QueryKey[]
}

const write = <Given, Made>(definition: Write<Given, Made>) => definition
/** Hours move the due dates of whatever they are of. */
export const afterHours: QueryKey[] = [['hours'], ['yard'], ['engine'], ['drift']]
const afterPlanning: QueryKey[] = [['plan'], ['jobs']]
const yardAndBook: QueryKey[] = [['yard'], ['engine'], ['types']]

/**
 * Every write of the interface, but for the entries of a visit (`offline`).
 *
 *     const addEngine = useWrite(writes.addEngine)
 *     const engine = await addEngine.mutateAsync(body)
 */
export const writes = {
  addEngine: write({
    send: (body: Schemas['EngineCreateRequest']) => answer(api.POST('/api/engines', { body })),
    stale: () => [['yard'], ['types'], ['machines'], ['sites'], ['visits']],
  }),
  changeEngine: write({
    send: ({ id, ...body }: Schemas['EngineChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/engines/{id}', { params: { path: { id } }, body })),
    stale: ({ id }) => [['yard'], ['engine', id], ['types'], ['machines']],
  }),
  readMeter: write({
    send: ({ engineId, ...body }: Schemas['MeterRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/meter-readings', { params: { path: { id: engineId } }, body })),
    stale: ({ engineId }) => [['yard'], ['engine', engineId]],
  }),
  correctMeter: write({
    send: ({
      engineId,
      readingId,
      ...body
    }: Schemas['MeterCorrectionRequest'] & { engineId: string; readingId: string }) =>
      answer(
        api.PUT('/api/engines/{id}/meter-readings/{readingId}', {
          params: { path: { id: engineId, readingId } },
          body,
        }),
      ),
    stale: ({ engineId }) => [['yard'], ['engine', engineId]],
  }),
  addShimDrawer: write({
    send: (body: Schemas['DrawerRequest']) => answer(api.POST('/api/shim-drawers', { body })),
    stale: () => [['shims']],
  }),
  moveShims: write({
    send: ({ drawerId, ...body }: Schemas['MovementRequest'] & { drawerId: string }) =>
      answer(api.POST('/api/shim-drawers/{id}/movements', { params: { path: { id: drawerId } }, body })),
    stale: () => [['shims']],
  }),
  decideShims: write({
    send: (body: Schemas['ShimJobRequest']) => answer(api.POST('/api/shim-jobs', { body })),
    stale: () => [['shims'], ['jobs'], ['plan']],
  }),
  shimHappened: write({
    send: ({ jobId, ...body }: Schemas['ShimJobEventRequest'] & { jobId: string }) =>
      answer(api.POST('/api/shim-jobs/{id}/events', { params: { path: { id: jobId } }, body })),
    stale: () => [['shims'], ['jobs'], ['plan']],
  }),
  addType: write({
    send: (body: Schemas['EngineTypeRequest']) => answer(api.POST('/api/engine-types', { body })),
    stale: () => [['types']],
  }),
  changeType: write({
    send: ({ id, ...body }: Schemas['EngineTypeChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/engine-types/{id}', { params: { path: { id } }, body })),
    stale: () => yardAndBook,
  }),
  addRevision: write({
    send: ({ typeId, ...body }: Schemas['SpecRevisionRequest'] & { typeId: string }) =>
      answer(api.POST('/api/engine-types/{id}/revisions', { params: { path: { id: typeId } }, body })),
    stale: () => yardAndBook,
  }),
  addOwnFigure: write({
    send: ({ engineId, ...body }: Schemas['OwnFigureRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/own-figures', { params: { path: { id: engineId } }, body })),
    stale: ({ engineId }) => [['yard'], ['engine', engineId], ['drift']],
  }),
  withdrawOwnFigure: write({
    send: ({ engineId, figureId, ...body }: Schemas['OwnFigureWithdrawal'] & { engineId: string; figureId: string }) =>
      answer(
        api.POST('/api/engines/{id}/own-figures/{figureId}/withdraw', {
          params: { path: { id: engineId, figureId } },
          body,
        }),
      ),
    stale: ({ engineId }) => [['yard'], ['engine', engineId], ['drift']],
  }),
  changeFleet: write({
    send: (body: Schemas['FleetSettings']) => answer(api.PUT('/api/fleet', { body })),
    stale: () => [['fleet'], ...yardAndBook, ['visit'], ['drift']],
  }),
  addFeelChecks: write({
    send: ({ personId, ...body }: Schemas['FeelChecksRequest'] & { personId: string }) =>
      answer(api.POST('/api/people/{id}/feel-checks', { params: { path: { id: personId } }, body })),
    stale: ({ personId }) => [['people', personId, 'hand']],
  }),
  addPerson: write({
    send: (body: Schemas['PersonCreateRequest']) => answer(api.POST('/api/people', { body })),
    stale: () => [['people']],
  }),
  changePerson: write({
    send: ({ id, ...body }: Schemas['PersonChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/people/{id}', { params: { path: { id } }, body })),
    stale: () => [['people']],
  }),
  jobsFromDue: write({
    send: (body: Schemas['JobsFromDueRequest']) => answer(api.POST('/api/jobs/from-due', { body })),
    stale: () => afterPlanning,
  }),
  addJob: write({
    send: (body: Schemas['JobOrderRequest']) => answer(api.POST('/api/jobs', { body })),
    stale: () => afterPlanning,
  }),
  changeJob: write({
    send: ({ jobId, ...body }: Schemas['JobOrderRequest'] & { jobId: string }) =>
      answer(api.PUT('/api/jobs/{id}', { params: { path: { id: jobId } }, body })),
    stale: () => afterPlanning,
  }),
  runPlan: write({
    send: ({ days, seconds }: { days: number; seconds: number }) =>
      answer(api.POST('/api/plan/run', { params: { query: { days, seconds } } })),
    stale: () => [['plan', 'run']],
  }),
  stopPlan: write({ send: () => answer(api.POST('/api/plan/run/stop')), stale: () => [['plan', 'run']] }),
  placeJob: write({
    send: ({ jobId, ...body }: Schemas['PlaceRequest'] & { jobId: string }) =>
      answer(api.PUT('/api/plan/placements/{jobId}', { params: { path: { jobId } }, body })),
    stale: () => afterPlanning,
  }),
  takeJobOut: write({
    send: (jobId: string) => answer(api.DELETE('/api/plan/placements/{jobId}', { params: { path: { jobId } } })),
    stale: () => afterPlanning,
  }),
  publishPlan: write({
    send: (body: Schemas['PublishRequest']) => answer(api.POST('/api/plan/publish', { body })),
    stale: () => afterPlanning,
  }),
  changeMechanic: write({
    send: ({ personId, ...body }: Schemas['MechanicRequest'] & { personId: string }) =>
      answer(api.PUT('/api/plan/people/{id}', { params: { path: { id: personId } }, body })),
    stale: () => afterPlanning,
  }),
  addAway: write({
    send: (body: Schemas['AwayRequest']) => answer(api.POST('/api/plan/away', { body })),
    stale: () => afterPlanning,
  }),
  removeAway: write({
    send: (id: string) => answer(api.DELETE('/api/plan/away/{id}', { params: { path: { id } } })),
    stale: () => afterPlanning,
  }),
  putGroup: write({
    send: (body: Schemas['GroupRequest']) => answer(api.PUT('/api/plan/groups', { body })),
    stale: () => afterPlanning,
  }),
  putTool: write({
    send: (body: Schemas['ToolRequest']) => answer(api.PUT('/api/plan/tools', { body })),
    stale: () => afterPlanning,
  }),
  putRoad: write({
    send: (body: Schemas['RoadRequest']) => answer(api.PUT('/api/plan/roads', { body })),
    stale: () => afterPlanning,
  }),
  addCall: write({
    send: ({ engineId, ...body }: Schemas['CallRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/calls', { params: { path: { id: engineId } }, body })),
    stale: ({ engineId }) => [['yard'], ['engine', engineId]],
  }),
  closeCall: write({
    send: ({ callId, ...body }: Schemas['CloseCallRequest'] & { callId: string }) =>
      answer(api.POST('/api/calls/{id}/close', { params: { path: { id: callId } }, body })),
    stale: () => [['yard'], ['engine']],
  }),
  tryDue: write({
    send: (body: Schemas['TryRequest']) => answer(api.POST('/api/due/try', { body })),
    stale: () => [],
  }),
  takeRound: write({
    send: (body: Schemas['RoundRequest']) => answer(api.POST('/api/hours/round', { body })),
    stale: () => afterHours,
  }),
  decideHours: write({
    send: ({ waitingId, ...body }: Schemas['DecisionRequest'] & { waitingId: string }) =>
      answer(api.POST('/api/hours/waiting/{id}/decision', { params: { path: { id: waitingId } }, body })),
    stale: () => afterHours,
  }),
  changeFeed: write({
    send: (body: Schemas['FeedSettings']) => answer(api.PUT('/api/hours/feed', { body })),
    stale: () => [['hours', 'feed']],
  }),
  askFeed: write({
    send: () => answer(api.POST('/api/hours/feed/ask')),
    stale: () => afterHours,
  }),
  addInstrument: write({
    send: (body: Schemas['InstrumentRequest']) => answer(api.POST('/api/instruments', { body })),
    stale: () => [['instruments']],
  }),
  changeInstrument: write({
    send: ({ instrumentId, ...body }: Schemas['InstrumentRequest'] & { instrumentId: string }) =>
      answer(api.PUT('/api/instruments/{id}', { params: { path: { id: instrumentId } }, body })),
    stale: () => [['instruments'], ['engine']],
  }),
  addSite: write({
    send: (body: Schemas['SiteRequest']) => answer(api.POST('/api/sites', { body })),
    stale: () => [['sites']],
  }),
  changeSite: write({
    send: ({ siteId, ...body }: Schemas['SiteRequest'] & { siteId: string }) =>
      answer(api.PUT('/api/sites/{id}', { params: { path: { id: siteId } }, body })),
    stale: () => [['sites'], ['yard'], ['machines'], ['engine']],
  }),
  addMachine: write({
    send: (body: Schemas['MachineRequest']) => answer(api.POST('/api/machines', { body })),
    stale: () => [['machines']],
  }),
  changeMachine: write({
    send: ({ machineId, ...body }: Schemas['MachineRequest'] & { machineId: string }) =>
      answer(api.PUT('/api/machines/{id}', { params: { path: { id: machineId } }, body })),
    stale: () => [['machines'], ['yard'], ['engine']],
  }),
}

/** A mutation that makes stale what its write names. */
export function useWrite<Given, Made>(definition: Write<Given, Made>) {
  const client = useQueryClient()
  return useMutation({
    networkMode: 'always' as const,
    mutationFn: definition.send,
    onSuccess: async (made: Made, given: Given) => {
      await Promise.all(definition.stale(given, made).map((queryKey) => client.invalidateQueries({ queryKey })))
    },
  })
}
