import type { Felt } from './useVisit'

/** The four feels of a blade: on a key, in a line, on the keyboard. */
export const feels: { feel: Felt; text: string; said: string; key: string }[] = [
  { feel: 'free', text: 'Slides free', key: 'F', said: 'free' },
  { feel: 'drag', text: 'Slight drag', key: 'D', said: 'drag' },
  { feel: 'heavyDrag', text: 'Forced, buckles', key: 'X', said: 'forced' },
  { feel: 'noGo', text: 'No go', key: 'N', said: 'no go' },
]
