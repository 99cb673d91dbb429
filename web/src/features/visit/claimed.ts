import { newId } from '../../api/newId'
import type { Entry } from '../../offline/entries'

/** What somebody else says a point was left at: a figure of theirs, which is taken as it is. */
export function claimed(
  point: string,
  figure: string,
  unit: string,
  by: string,
): { reading: string; entries: Entry[] } {
  const reading = newId()
  return {
    reading,
    entries: [
      {
        kind: 'figureRead',
        reading,
        point,
        stage: 'claimed',
        figure,
        unit,
        with: 'figure',
        ...(by.trim() ? { claimedBy: by.trim() } : {}),
      },
      { kind: 'kept', reading, sure: true },
    ],
  }
}
