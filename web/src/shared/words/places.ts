import type { Schemas } from '../../api/client'

/** Where the work is done: it decides which steps apply. */
export const placeNames: Record<Schemas['VisitPlace'], string> = {
  inMachine: 'In its machine',
  onStand: 'The whole engine on a stand',
  onBench: 'The head on a bench',
}
