import type { Schemas } from '../../api/client'

/** Kinds of visit: what an engine is opened for. */
export const jobNames: Record<Schemas['JobKind'], string> = {
  overhead: 'Overhead',
  spotCheck: 'Spot check',
  receivingCheck: 'Receiving check',
  build: 'Build',
}

/** What each is for, as it is chosen. */
export const jobMeanings: Record<Schemas['JobKind'], string> = {
  overhead: 'every point; starts the book’s interval anew',
  spotCheck: 'some points, to settle a doubt',
  receivingCheck: 'somebody else’s adjustment',
  build: 'set after a build or rebuild',
}

/** The signed visit, said of its kind: the overhead, the spot check. */
export const jobWord = (job: Schemas['JobKind']) => jobNames[job].toLowerCase()
