/** The blades a rail shows: so many neighbours of a tray in size order, round the figure that is expected. */
export interface RailWindow {
  blades: string[]
  /** Nothing of the tray is thinner than the first one shown. */
  thinnest: boolean
  /** Nothing is thicker than the last. */
  thickest: boolean
  /** The blade next below the first shown, and next above the last. */
  below?: string
  above?: string
}

/**
 * The stretch of a tray round a figure.
 *
 * @param blades as written on them
 * @param mm how thick one is
 * @param around the figure expected, mm
 * @param count how many fit
 * @param shift blades further towards thicker, by a swipe
 */
export function railWindow(
  blades: string[],
  mm: (blade: string) => number,
  around: number,
  count: number,
  shift = 0,
): RailWindow {
  const sorted = [...blades].sort((a, b) => mm(a) - mm(b))
  const most = Math.max(0, sorted.length - count)
  // As many blades below the figure as above it; one that is the figure stands in the upper half.
  const under = sorted.filter((b) => mm(b) < around - 1e-9).length
  const from = Math.min(most, Math.max(0, under - Math.floor(count / 2) + shift))
  const shown = sorted.slice(from, from + count)
  return {
    blades: shown,
    thinnest: from === 0,
    thickest: from + shown.length === sorted.length,
    below: sorted[from - 1],
    above: sorted[from + shown.length],
  }
}
