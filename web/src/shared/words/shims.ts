import type { Schemas } from '../../api/client'
import type { Unit } from '../figures/lengths'

/** How a thickness is known. */
export const knownBy: Record<Schemas['ShimKnownBy'], string> = {
  micrometer: 'by micrometer',
  printed: 'as printed on it',
  lapped: 'lapped, by micrometer',
}

/** A thickness in mm as shims are called: hundredths, thousandths where they count. */
export const size = (mm: number) => (Math.round(mm * 1000) % 10 ? mm.toFixed(3) : mm.toFixed(2))

/** The same in the unit it is written in. */
export const thickness = (mm: number, unit: Unit) =>
  unit === 'thou' ? String(Math.round((mm / 25.4) * 10_000) / 10) : size(mm)

/** The same as it is stamped by whoever counts in inches. */
export const inches = (mm: number) => `${(mm / 25.4).toFixed(4).replace(/0$/, '')} in`

/** Where a shim fits. */
export const accessNames: Record<Schemas['ShimAccess'], string> = {
  onTop: 'on top of the bucket',
  underBucket: 'under the bucket',
  puck: 'puck',
}

/** What one is called: a puck, all others shims. */
export const shimWord = (access: Schemas['ShimAccess']) => (access === 'puck' ? 'puck' : 'shim')

/** What may move. */
export const policyNames: Record<Schemas['ShimPolicy'], string> = {
  leaveGoodAlone: 'leave good alone',
  fewestBought: 'fewest bought',
  blueprint: 'blueprint',
}
export const policySays: Record<Schemas['ShimPolicy'], string> = {
  leaveGoodAlone: 'What is in its window keeps its shim.',
  fewestBought: 'A good one may move where that saves a purchase.',
  blueprint: 'Every point as near its figure as can be.',
}

/** How far a shim job is, in the order of the job. */
export const jobStates: [Schemas['ShimJobState'], string][] = [
  ['measured', 'measured'],
  ['ordered', 'ordered'],
  ['partsIn', 'parts in'],
  ['reopened', 'reopened'],
  ['fitted', 'fitted'],
  ['measuredAgain', 'measured again'],
  ['closed', 'closed'],
]

export const drawerKinds: Record<Schemas['ShimDrawerKind'], string> = {
  kit: 'a bought kit',
  place: 'a place in the stores',
  oldHead: 'an old head',
  person: 'somebody’s box',
}

/** What is done with shims of a drawer. */
export const movementNames: Record<Schemas['ShimMovementKind'], string> = {
  in: 'In',
  out: 'Out',
  moved: 'Into another drawer',
  lapped: 'Lapped',
  writtenOff: 'Written off',
  counted: 'Counted',
}

/** Adjusters that are shims. */
export const shimAdjusters: string[] = ['shimOnTop', 'shimUnderBucket', 'puck']
