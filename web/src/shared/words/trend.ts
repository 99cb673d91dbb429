/** What a visit that read one way throughout was: as it is, a warm engine, other blades. */
export type TrendAnswer = 'counts' | 'warm' | 'otherBlades'

/** The answers as they are offered. */
export const trendAnswers: Record<TrendAnswer, string> = {
  counts: 'It counts',
  warm: 'It was warm',
  otherBlades: 'Other blades',
}

const words: Record<string, string> = { warm: 'warm', otherBlades: 'other blades' }

/** Why a visit is left out of the rates, in a word; nothing where it counts. */
export const leftOutWord = (because: string | null | undefined) =>
  because && because !== 'counts' ? (words[because] ?? because) : ''

/** The same as the end of a sentence. */
export const leftOutSentence = (because: string) =>
  ({ warm: 'it was warm', otherBlades: 'other blades were used' })[because] ?? because
