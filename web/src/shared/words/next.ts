import type { Schemas } from '../../api/client'
import { day } from '../figures/days'

type Next = Schemas['DueNext']

const steps: Record<Schemas['DueStep'], string> = {
  none: '',
  goOn: 'Go on with it',
  openJob: 'Open the job',
  planJob: 'Plan the job',
  plan: 'Plan it',
  start: 'Start the first overhead',
  readMeter: 'Read its meter',
}

/** What is to be done next about an engine, the verb first. */
export const nextText = (next: Next) => steps[next.step]

/** Planned 2 Dec 2026, Marit with Olav; empty without a day. */
export const plannedText = (next: Next) =>
  next.plannedOn ? `planned ${day(next.plannedOn)}${next.who.length ? `, ${next.who.join(' with ')}` : ''}` : ''
