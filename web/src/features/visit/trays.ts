import type { Schemas } from '../../api/client'

/** Blades to measure with, by the name written on them. */
export interface Tray {
  name: string
  unit: 'mm' | 'thou'
  blades: string[]
}

/** The fleet's own sets that are in use, as they are offered. */
export const ownTrays = (instruments: Schemas['InstrumentResponse'][]): Tray[] =>
  instruments
    .filter((i) => i.kind === 'bladeSet' && !i.withdrawn)
    .map((i) => ({ name: i.name, unit: i.unit === 'thou' ? 'thou' : 'mm', blades: i.blades }))

/** All that can be chosen: the fleet's own first. */
export const allTrays = (instruments: Schemas['InstrumentResponse'][] | undefined): Tray[] => [
  ...ownTrays(instruments ?? []),
  ...trays,
]

/** Other blades from here on, as an entry says it. */
export const choseTray = (tray: Tray) => ({
  kind: 'chose' as const,
  tray: { setId: tray.name, unit: tray.unit, blades: tray.blades },
})

/** Blade sets as they are sold; a set of one's own is typed. */
export const trays: Tray[] = [
  {
    name: 'metric, 0.05 to 1.00',
    unit: 'mm',
    blades: [
      '0.05',
      '0.06',
      '0.07',
      '0.08',
      '0.09',
      ...Array.from({ length: 19 }, (_, i) => ((i + 2) * 0.05).toFixed(2)),
    ],
  },
  {
    name: 'fine metric, 0.05 to 0.60 by 0.01',
    unit: 'mm',
    blades: Array.from({ length: 56 }, (_, i) => ((i + 5) / 100).toFixed(2)),
  },
  { name: 'thou, 2 to 35', unit: 'thou', blades: Array.from({ length: 34 }, (_, i) => String(i + 2)) },
]
