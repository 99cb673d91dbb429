import type { Schemas } from '../../api/client'

/** How a thickness is known. */
export const knownBy: Record<Schemas['ShimKnownBy'], string> = {
  micrometer: 'by micrometer',
  printed: 'as printed on it',
  lapped: 'lapped, by micrometer',
}

/** A thickness in mm as shims are called: hundredths, thousandths where they count. */
export const size = (mm: number) => (Math.round(mm * 1000) % 10 ? mm.toFixed(3) : mm.toFixed(2))
