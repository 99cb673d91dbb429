import { ref } from 'vue'
import { sentence } from '../api/client'
import { usePreferences } from '../shared/preferences'
import { toast } from '../shared/toasts/toasts'
import type { TrendAnswer } from '../shared/words/trend'
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
  async function answer(visitId: string, what: TrendAnswer, before?: TrendAnswer): Promise<void> {
    failure.value = ''
    if (!preferences.person) {
      failure.value = 'Choose who says so.'
      return
    }
    try {
      await send.mutateAsync({ visitId, by: preferences.person, entries: trendAnswer(what) })
      toast(
        what === 'counts'
          ? 'The visit counts for the trend.'
          : 'The visit is left out of the rates; the record keeps it.',
        before ? () => answer(visitId, before) : undefined,
      )
    } catch (caught) {
      failure.value = sentence(caught)
    }
  }
  /** Whether two figures stand the wrong way round: answered yes, the trend takes them exchanged and the record keeps them as written. */
  async function swapped(visitId: string, points: { first: string; second: string }, yes: boolean): Promise<void> {
    failure.value = ''
    if (!preferences.person) {
      failure.value = 'Choose who says so.'
      return
    }
    try {
      await send.mutateAsync({ visitId, by: preferences.person, entries: [swappedAnswer(points, yes)] })
      toast(
        yes ? 'The trend takes them the other way round; the record keeps them as written.' : 'They stand as written.',
      )
    } catch (caught) {
      failure.value = sentence(caught)
    }
  }
  return { answer, swapped, failure, busy: send.isPending }
}
