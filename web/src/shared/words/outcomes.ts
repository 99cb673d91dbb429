import type { Schemas } from '../../api/client'

/** What became of a point at a visit. */
export const outcomeWords: Record<Schemas['PointOutcome'], string> = {
  leftAlone: 'left alone',
  set: 'set',
  leftSo: 'left as found',
  byTheBook: 'set by the book',
  shimFitted: 'shim fitted',
  awaiting: 'waits for a part',
  notReached: 'not reached',
}
