import type { Schemas } from '../../api/client'

/** What an engine drives. */
export const machineNames: Record<Schemas['MachineKind'], string> = {
  lorry: 'Lorry',
  tractor: 'Tractor',
  mower: 'Mower',
  ferry: 'Ferry',
  generator: 'Standby generator',
}
