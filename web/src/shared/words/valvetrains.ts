import type { Schemas } from '../../api/client'

/** What sets a clearance. */
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
