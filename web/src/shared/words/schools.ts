import type { Schemas } from '../../api/client'

/** In which order the points of a stop are taken. */
export const orderNames: Record<Schemas['PointOrder'], string> = {
  byCylinder: 'Cylinder by cylinder',
  downTheHead: 'Down the head',
  oneBlade: 'One blade at a time',
  exhaustsFirst: 'Exhausts first',
  intakesFirst: 'Intakes first',
}

/** When a point is set. */
export const settingNames: Record<Schemas['SettingOrder'], string> = {
  pointByPoint: 'Finish a valve before the next',
  stopFirst: 'Measure the whole stop first',
}

/** How a reading is judged. */
export const judgingNames: Record<Schemas['JudgingSchool'], string> = {
  window: 'Inside the window is left alone',
  edgeToSet: 'On an edge: brought to the figure',
  oneFigure: 'The set blade alone decides',
  sameFigure: 'All to the same figure',
}

/** How a screw is locked. */
export const mannerNames: Record<Schemas['SettingManner'], string> = {
  bladeOut: 'Blade out: turn, lock, try',
  bladeIn: 'Blade in while locking',
  oneSizeUp: 'Snug on one size up',
  limitAndBackOff: 'To the tight limit, then back',
}

/** What it is measured with. */
export const measuringNames: Record<Schemas['MeasuringMeans'], string> = {
  blades: 'Feeler blades',
  dial: 'Dial on the rocker',
}

/** What turns the crank; the word for the starter is the contract's. */
export const turnedByNames: Record<string, string> = {
  '': 'As the book bars it',
  'a wheel and a gear': 'A wheel, in gear',
  'the alternator nut, belt held': 'The alternator nut, the belt held',
  'a bar on the flywheel teeth': 'A bar on the flywheel teeth',
  starter: 'The starter',
}
