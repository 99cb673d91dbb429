import type { Schemas } from '../../api/client'
import { feelWords } from './verdicts'

type Reading = Pick<Schemas['SheetReadingRecord'], 'lowerMm' | 'upperMm' | 'estimateMm'> &
  Partial<Pick<Schemas['SheetReadingRecord'], 'tries'>>

/** A reading as a figure: 0.21, between 0.30 and 0.35, under 0.05; in short 0.30–0.35 and <0.05. */
export function readingText(
  reading: Reading | null | undefined,
  figure: (mm?: number | null) => string,
  short = false,
): string {
  if (!reading) return ''
  const { lowerMm: low, upperMm: high, estimateMm: mm } = reading
  // What drags is the figure, whatever was tried beside it.
  const dragged = reading.tries?.some((t) => t.feel === 'drag')
  const bracket =
    !dragged && low != null && high != null && high > low && mm != null && Math.abs((low + high) / 2 - mm) < 1e-9
  if (bracket) return short ? `${figure(low)}–${figure(high)}` : `between ${figure(low)} and ${figure(high)}`
  if (mm != null) return figure(mm)
  if (high != null) return short ? `<${figure(high)}` : `under ${figure(high)}`
  if (low != null) return short ? `>${figure(low)}` : `over ${figure(low)}`
  return ''
}

/** How it was measured: 0.20 slid free, 0.25 no go. */
export function triesText(reading: Schemas['SheetReadingRecord'] | null | undefined): string {
  if (!reading) return ''
  if (reading.tries.length === 0)
    return !reading.written
      ? ''
      : reading.with === 'dial'
        ? `${reading.written} ${reading.unit} on the dial`
        : `written ${reading.written} ${reading.unit}`
  return reading.tries.map((t) => `${t.blades.join(' + ')} ${feelWords[t.feel]}`).join(', ')
}

/** What was set and turned away from again, in the order it was done: not locked 0.45; locked 0.38, turned again. */
export const attemptsText = (
  attempts: Schemas['SheetReadingRecord'][],
  figure: (mm?: number | null) => string,
): string =>
  attempts
    .map((a) => `${a.stage === 'beforeLock' ? 'not locked' : 'tried'} ${readingText(a, figure, true)}, turned again`)
    .join('; ')
