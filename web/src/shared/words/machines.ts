import type { Schemas } from '../../api/client'

/** What an engine drives. */
export const machineNames: Record<Schemas['MachineKind'], string> = {
  lorry: 'Lorry',
  van: 'Van',
  car: 'Car',
  motorcycle: 'Motorcycle',
  tractor: 'Tractor',
  mower: 'Mower',
  construction: 'Construction machine',
  boat: 'Boat',
  ferry: 'Ferry',
  ship: 'Ship',
  generator: 'Standby generator',
  pump: 'Pump',
  other: 'Other machine',
}

/** What is true of a machine: it decides which cautions stand in the list that makes it safe. */
export const machinePropertyNames: Record<Schemas['MachineProperty'], string> = {
  battery: 'A battery that can turn the starter',
  airStart: 'An air or hydraulic starter',
  automaticStart: 'It starts by itself, or from elsewhere',
  propeller: 'A propeller on its shaft',
  pto: 'A power take-off',
  blades: 'Blades that turn with it',
  trailerBrake: 'A trailer, or its brake',
  wheels: 'Wheels or tracks it can roll on',
}
