import { Refusal, type Schemas } from '../api/client'
import { askTablet } from './tablet'

export type FoldRequest = Schemas['FoldRequest']
export type FoldAnswer = Schemas['FoldResponse']

const seen = new Set<string>()

/**
 * Folds a visit. The core keeps the contexts it has seen, so that a tap sends none.
 *
 *     const { visit, outcomes } = await fold({ visitId, contextId, context, entries, unsent })
 */
export async function fold(request: FoldRequest): Promise<FoldAnswer> {
  const { context, ...rest } = request
  const id = request.contextId
  if (!id || !seen.has(id)) {
    const answer = await askTablet<FoldAnswer>('fold', request)
    if (id) seen.add(id)
    return answer
  }
  try {
    return await askTablet<FoldAnswer>('fold', rest)
  } catch (caught) {
    // Started anew, or pushed out by others: it is told again.
    if (!(caught instanceof Refusal) || !caught.for('context')) throw caught
    return askTablet<FoldAnswer>('fold', { ...rest, context })
  }
}
