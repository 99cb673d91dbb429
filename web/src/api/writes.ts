import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { answer, api, type Schemas } from './client'
import { makeStale, type Touched } from './touched'

/** A change sent to the server, and what it touches there. */
export interface Write<Given, Made> {
  send: (given: Given) => Promise<Made>
  touches: Touched[]
}

const write = <Given, Made>(definition: Write<Given, Made>) => definition

/**
 * Every write of the interface, but for the entries of a visit (`offline`).
 *
 *     const addEngine = useWrite(writes.addEngine)
 *     const engine = await addEngine.mutateAsync(body)
 */
export const writes = {
  addEngine: write({
    send: (body: Schemas['EngineCreateRequest']) => answer(api.POST('/api/engines', { body })),
    touches: ['engine', 'meter', 'place'],
  }),
  changeEngine: write({
    send: ({ id, ...body }: Schemas['EngineChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/engines/{id}', { params: { path: { id } }, body })),
    touches: ['engine'],
  }),
  readMeter: write({
    send: ({ engineId, ...body }: Schemas['MeterRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/meter-readings', { params: { path: { id: engineId } }, body })),
    touches: ['meter'],
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
    touches: ['meter'],
  }),
  addShimDrawer: write({
    send: (body: Schemas['DrawerRequest']) => answer(api.POST('/api/shim-drawers', { body })),
    touches: ['shim'],
  }),
  moveShims: write({
    send: ({ drawerId, ...body }: Schemas['MovementRequest'] & { drawerId: string }) =>
      answer(api.POST('/api/shim-drawers/{id}/movements', { params: { path: { id: drawerId } }, body })),
    touches: ['shim'],
  }),
  decideShims: write({
    send: (body: Schemas['ShimJobRequest']) => answer(api.POST('/api/shim-jobs', { body })),
    touches: ['shim', 'job'],
  }),
  shimHappened: write({
    send: ({ jobId, ...body }: Schemas['ShimJobEventRequest'] & { jobId: string }) =>
      answer(api.POST('/api/shim-jobs/{id}/events', { params: { path: { id: jobId } }, body })),
    touches: ['shim', 'job'],
  }),
  addType: write({
    send: (body: Schemas['EngineTypeRequest']) => answer(api.POST('/api/engine-types', { body })),
    touches: ['type'],
  }),
  changeType: write({
    send: ({ id, ...body }: Schemas['EngineTypeChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/engine-types/{id}', { params: { path: { id } }, body })),
    touches: ['type'],
  }),
  addRevision: write({
    send: ({ typeId, ...body }: Schemas['SpecRevisionRequest'] & { typeId: string }) =>
      answer(api.POST('/api/engine-types/{id}/revisions', { params: { path: { id: typeId } }, body })),
    touches: ['type'],
  }),
  addOwnFigure: write({
    send: ({ engineId, ...body }: Schemas['OwnFigureRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/own-figures', { params: { path: { id: engineId } }, body })),
    touches: ['engine'],
  }),
  withdrawOwnFigure: write({
    send: ({ engineId, figureId, ...body }: Schemas['OwnFigureWithdrawal'] & { engineId: string; figureId: string }) =>
      answer(
        api.POST('/api/engines/{id}/own-figures/{figureId}/withdraw', {
          params: { path: { id: engineId, figureId } },
          body,
        }),
      ),
    touches: ['engine'],
  }),
  changeFleet: write({
    send: (body: Schemas['FleetSettings']) => answer(api.PUT('/api/fleet', { body })),
    touches: ['fleet'],
  }),
  addFeelChecks: write({
    send: ({ personId, ...body }: Schemas['FeelChecksRequest'] & { personId: string }) =>
      answer(api.POST('/api/people/{id}/feel-checks', { params: { path: { id: personId } }, body })),
    touches: ['feel'],
  }),
  addPerson: write({
    send: (body: Schemas['PersonCreateRequest']) => answer(api.POST('/api/people', { body })),
    touches: ['person'],
  }),
  changePerson: write({
    send: ({ id, ...body }: Schemas['PersonChangeRequest'] & { id: string }) =>
      answer(api.PUT('/api/people/{id}', { params: { path: { id } }, body })),
    touches: ['person'],
  }),
  jobsFromDue: write({
    send: (body: Schemas['JobsFromDueRequest']) => answer(api.POST('/api/jobs/from-due', { body })),
    touches: ['job'],
  }),
  addJob: write({
    send: (body: Schemas['JobOrderRequest']) => answer(api.POST('/api/jobs', { body })),
    touches: ['job'],
  }),
  changeJob: write({
    send: ({ jobId, ...body }: Schemas['JobOrderRequest'] & { jobId: string }) =>
      answer(api.PUT('/api/jobs/{id}', { params: { path: { id: jobId } }, body })),
    touches: ['job'],
  }),
  runPlan: write({
    send: ({ days, seconds }: { days: number; seconds: number }) =>
      answer(api.POST('/api/plan/run', { params: { query: { days, seconds } } })),
    touches: ['run'],
  }),
  stopPlan: write({ send: () => answer(api.POST('/api/plan/run/stop')), touches: ['run'] }),
  placeJob: write({
    send: ({ jobId, ...body }: Schemas['PlaceRequest'] & { jobId: string }) =>
      answer(api.PUT('/api/plan/placements/{jobId}', { params: { path: { jobId } }, body })),
    touches: ['plan'],
  }),
  takeJobOut: write({
    send: (jobId: string) => answer(api.DELETE('/api/plan/placements/{jobId}', { params: { path: { jobId } } })),
    touches: ['plan'],
  }),
  publishPlan: write({
    send: (body: Schemas['PublishRequest']) => answer(api.POST('/api/plan/publish', { body })),
    touches: ['plan'],
  }),
  changeMechanic: write({
    send: ({ personId, ...body }: Schemas['MechanicRequest'] & { personId: string }) =>
      answer(api.PUT('/api/plan/people/{id}', { params: { path: { id: personId } }, body })),
    touches: ['plan'],
  }),
  addAway: write({
    send: (body: Schemas['AwayRequest']) => answer(api.POST('/api/plan/away', { body })),
    touches: ['away'],
  }),
  removeAway: write({
    send: (id: string) => answer(api.DELETE('/api/plan/away/{id}', { params: { path: { id } } })),
    touches: ['away'],
  }),
  putGroup: write({
    send: (body: Schemas['GroupRequest']) => answer(api.PUT('/api/plan/groups', { body })),
    touches: ['plan'],
  }),
  putTool: write({
    send: (body: Schemas['ToolRequest']) => answer(api.PUT('/api/plan/tools', { body })),
    touches: ['plan'],
  }),
  putRoad: write({
    send: (body: Schemas['RoadRequest']) => answer(api.PUT('/api/plan/roads', { body })),
    touches: ['plan'],
  }),
  addCall: write({
    send: ({ engineId, ...body }: Schemas['CallRequest'] & { engineId: string }) =>
      answer(api.POST('/api/engines/{id}/calls', { params: { path: { id: engineId } }, body })),
    touches: ['call'],
  }),
  closeCall: write({
    send: ({ callId, ...body }: Schemas['CloseCallRequest'] & { callId: string }) =>
      answer(api.POST('/api/calls/{id}/close', { params: { path: { id: callId } }, body })),
    touches: ['call'],
  }),
  tryDue: write({
    send: (body: Schemas['TryRequest']) => answer(api.POST('/api/due/try', { body })),
    touches: [],
  }),
  takeRound: write({
    send: (body: Schemas['RoundRequest']) => answer(api.POST('/api/hours/round', { body })),
    touches: ['meter'],
  }),
  decideHours: write({
    send: ({ waitingId, ...body }: Schemas['DecisionRequest'] & { waitingId: string }) =>
      answer(api.POST('/api/hours/waiting/{id}/decision', { params: { path: { id: waitingId } }, body })),
    touches: ['meter'],
  }),
  changeFeed: write({
    send: (body: Schemas['FeedSettings']) => answer(api.PUT('/api/hours/feed', { body })),
    touches: ['feed'],
  }),
  askFeed: write({
    send: () => answer(api.POST('/api/hours/feed/ask')),
    touches: ['feed', 'meter'],
  }),
  addInstrument: write({
    send: (body: Schemas['InstrumentRequest']) => answer(api.POST('/api/instruments', { body })),
    touches: ['instrument'],
  }),
  changeInstrument: write({
    send: ({ instrumentId, ...body }: Schemas['InstrumentRequest'] & { instrumentId: string }) =>
      answer(api.PUT('/api/instruments/{id}', { params: { path: { id: instrumentId } }, body })),
    touches: ['instrument'],
  }),
  addSite: write({
    send: (body: Schemas['SiteRequest']) => answer(api.POST('/api/sites', { body })),
    touches: ['place'],
  }),
  changeSite: write({
    send: ({ siteId, ...body }: Schemas['SiteRequest'] & { siteId: string }) =>
      answer(api.PUT('/api/sites/{id}', { params: { path: { id: siteId } }, body })),
    touches: ['place'],
  }),
  addMachine: write({
    send: (body: Schemas['MachineRequest']) => answer(api.POST('/api/machines', { body })),
    touches: ['place'],
  }),
  changeMachine: write({
    send: ({ machineId, ...body }: Schemas['MachineRequest'] & { machineId: string }) =>
      answer(api.PUT('/api/machines/{id}', { params: { path: { id: machineId } }, body })),
    touches: ['place'],
  }),
}

/** A mutation after which everything that rests on what it touched is asked again. */
export function useWrite<Given, Made>(definition: Write<Given, Made>) {
  const client = useQueryClient()
  return useMutation({
    networkMode: 'always' as const,
    mutationFn: definition.send,
    onSuccess: () => makeStale(client, ...definition.touches),
  })
}
