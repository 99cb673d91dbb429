import type { Schemas } from '../../api/client'

/** How a reading stands to its window. */
export const verdictWords: Record<Schemas['VerdictState'], string> = {
  tight: 'tight',
  loose: 'loose',
  inWindow: 'in window',
  borderline: 'borderline',
}

/** How a blade felt. */
export const feelWords: Record<Schemas['Feel'], string> = {
  free: 'slid free',
  drag: 'dragged',
  heavyDrag: 'forced',
  noGo: 'no go',
}
