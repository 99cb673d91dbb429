import type { Schemas } from '../../api/client'

type Reading = Pick<Schemas['SheetReadingRecord'], 'lowerMm' | 'upperMm' | 'estimateMm' | 'tries'>

export const stateWords = { tight: 'tight', loose: 'loose', inWindow: 'in window', borderline: 'borderline' }

/** 3 exhaust; 2 intake rear. */
export function spoken(point: { cylinder: number; kind: string; place?: string | null }): string {
  const kind = { intake: 'intake', exhaust: 'exhaust', injector: 'injector', engineBrake: 'engine brake' }[point.kind]
  return `${point.cylinder} ${kind}${point.place ? ` ${point.place}` : ''}`
}

/** A reading as a figure: 0.21, between 0.30 and 0.35, under 0.05. */
export function readingText(
  reading: Reading | null | undefined,
  figure: (mm?: number | null) => string,
  short = false,
): string {
  if (!reading) return ''
  const { lowerMm: low, upperMm: high, estimateMm: mm } = reading
  // What drags is the figure, whatever was tried beside it.
  const dragged = reading.tries.some((t) => t.feel === 'drag')
  const bracket =
    !dragged && low != null && high != null && high > low && mm != null && Math.abs((low + high) / 2 - mm) < 1e-9
  if (bracket)
    return short
      ? `${figure(low)}–${figure(high)}`.replace(/(^|–)0\./g, '$1.')
      : `between ${figure(low)} and ${figure(high)}`
  if (mm != null) return figure(mm)
  if (high != null) return short ? `<${figure(high)}` : `under ${figure(high)}`
  if (low != null) return short ? `>${figure(low)}` : `over ${figure(low)}`
  return ''
}
