import type { Schemas } from '../../api/client'

export const adjusterNames: Record<Schemas['AdjusterKind'], string> = {
  screwAtValve: 'screw and locknut at the valve',
  screwAtPushrod: 'screw and locknut at the pushrod',
  bridgeScrew: 'screw over a bridge',
  followerScrew: 'follower with a screw',
  eccentricShaft: 'eccentric rocker shaft',
  shimOnTop: 'bucket, shim on top',
  shimUnderBucket: 'bucket, shim underneath',
  puck: 'finger over a puck',
  hydraulicPreload: 'hydraulic lifter, preload',
  injectorScrew: 'injector screw',
  brakeScrew: 'engine-brake screw',
}

export const methodNames: Record<Schemas['TurningMethod'], string> = {
  twoStop: 'Two stops',
  perCylinder: 'One cylinder at a time',
  rocking: 'Watch it rock',
  exhaustOpeningIntakeClosing: 'Exhaust opens, intake closes',
  fewestStops: 'Fewest stops',
  book: "The book's list",
}
