import type { Schemas } from '../../api/client'

/** What an instrument is, in a word. */
export const instrumentNames: Record<Schemas['InstrumentKind'], string> = {
  bladeSet: 'blade set',
  micrometer: 'micrometer',
  dial: 'dial',
}
