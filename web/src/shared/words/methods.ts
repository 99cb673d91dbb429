import type { Schemas } from '../../api/client'

/** The schools of finding the position. */
export const methodNames: Record<Schemas['TurningMethod'], string> = {
  twoStop: 'Two stops',
  perCylinder: 'One cylinder at a time',
  rocking: 'Watch it rock',
  exhaustOpeningIntakeClosing: 'Exhaust opens, intake closes',
  fewestStops: 'Fewest stops',
  book: "The book's list",
  lobeAway: 'Lobe away, cams in sight',
}
