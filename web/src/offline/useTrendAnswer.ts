import { ref } from 'vue'
import { sentence } from '../api/client'
import { usePreferences } from '../shared/preferences'
import { toast } from '../shared/toasts/toasts'
import type { TrendAnswer } from '../shared/words/trend'
import type { Entry } from './entries'
import { swappedAnswer, trendAnswer } from './trendAnswer'
import { useSend } from './useSend'

/**
 * Answers, with a name, whether a signed visit counts for the trend; where the answer before is known it can be taken back.
 *
 *     const { answer, failure, busy } = useTrendAnswer()
 *     await answer(visitId, 'warm', 'counts')
 */
export function useTrendAnswer() {
  const preferences = usePreferences()
  const send = useSend()
  const failure = ref('')
  async function say(visitId: string, entries: Entry[], done: string, undo?: () => Promise<unknown>): Promise<void> {
    failure.value = ''
    if (!preferences.person) {
      failure.value = 'Choose who says so.'
      return
    }
    try {
      await send.mutateAsync({ visitId, by: preferences.person, entries })
      toast(done, undo)
    } catch (caught) {
      failure.value = sentence(caught)
    }
  }
  const answer = (visitId: string, what: TrendAnswer, before?: TrendAnswer): Promise<void> =>
    say(
      visitId,
      trendAnswer(what),
      what === 'counts'
        ? 'The visit counts for the trend.'
        : 'The visit is left out of the rates; the record keeps it.',
      before ? () => answer(visitId, before) : undefined,
    )
  /** Whether two figures stand the wrong way round: answered yes, the trend takes them exchanged and the record keeps them as written. */
  const swapped = (visitId: string, points: { first: string; second: string }, yes: boolean): Promise<void> =>
    say(
      visitId,
      [swappedAnswer(points, yes)],
      yes ? 'The trend takes them the other way round; the record keeps them as written.' : 'They stand as written.',
    )
  return { answer, swapped, failure, busy: send.isPending }
}
