import { Refusal, type Schemas } from '../api/client'
import { newId } from '../api/newId'
import { today } from '../shared/figures/days'
import { fold, type FoldAnswer } from '../core/fold'
import { bringVisit, heldVisit } from './held'
import { contextFor } from './openVisit'
import { unsentOf, written } from './outbox'
import { store, type HeldContext, type HeldVisit, type Problem } from './store'
import { toRefusal } from '../api/refusal'

/** A visit as this device has it: the server's entries and its own unsent ones, folded here. */
export interface FoldedVisit {
  view: Schemas['VisitRecord']
  /** What becomes of the unsent, as far as this device can tell. */
  outcomes: FoldAnswer['outcomes']
  /** Why nothing of it can be sent as it is. */
  held?: Problem
}

/** Where a folded visit is kept while a page shows it. */
export const foldedKey = (visitId: string) => ['folded', visitId] as const

/** What was measured here went into another visit: the way there. */
export class JoinedElsewhere extends Refusal {
  constructor(readonly visitId: string) {
    super('What was measured here went into the visit that was open already.', 409, {}, {})
  }
}

/** Folds a visit; brings it here first where this device has nothing of it. */
export async function foldVisit(visitId: string): Promise<FoldedVisit> {
  let visit = await heldVisit(visitId)
  if (visit?.joined) throw new JoinedElsewhere(visit.joined)
  if (!visit?.contextId) visit = await bringVisit(visitId)
  const { context, unsent } = await parts(visit)
  const { visit: view, outcomes } = await fold({
    visitId,
    contextId: visit.contextId,
    context,
    entries: visit.entries,
    unsent,
  })
  if (!view) throw toRefusal((outcomes[0]?.problem ?? visit.held ?? {}) as Problem)
  return { view: { ...view, context, refused: visit.refused }, outcomes, held: visit.held }
}

/** The sheet of an engine that nobody has opened yet, in its machine and in its own order: for paper. */
export async function foldBlank(engineId: string): Promise<Schemas['VisitRecord']> {
  const { contextId, context } = await contextFor(engineId)
  const line = written(
    {
      kind: 'opened',
      engineId,
      job: 'overhead',
      date: today(),
      shownHours: context.meter?.shownHours ?? 0,
      contextId,
    },
    context.people[0]?.id ?? newId(),
  )
  const { visit, outcomes } = await fold({ visitId: newId(), contextId, context, entries: [], unsent: [line] })
  if (!visit) throw toRefusal((outcomes[0]?.problem ?? {}) as unknown as Problem)
  return { ...visit, context }
}

/** Only the line of one point, at once: the verdict of a tap does not wait for the whole sheet. */
export async function foldLine(visitId: string, point: string): Promise<Schemas['SheetPointRecord'] | null> {
  const visit = await heldVisit(visitId)
  if (!visit?.contextId) return null
  const { context, unsent } = await parts(visit)
  return (
    (await fold({ visitId, contextId: visit.contextId, context, entries: visit.entries, unsent, only: point })).line ??
    null
  )
}

async function parts(visit: HeldVisit) {
  if (last?.contextId !== visit.contextId) last = await (await store()).get('contexts', visit.contextId)
  return { context: last?.context ?? null, unsent: unsentOf(visit.visitId) }
}

/** Contexts never change: the one in use is read once. */
let last: HeldContext | undefined
