import type { Schemas } from '../../api/client'

type State = Schemas['StartState']
type Adjuster = Schemas['AdjusterWord']

/** How a point set by amount stood before, as a record says it. */
export const startWords: Record<State, string> = {
  rattles: 'it has play, up and down',
  pumpedUp: 'the plunger is pumped up',
  collapsed: 'the plunger is bled down',
  freewheels: 'the roller freewheels',
  open: 'it is held open',
  zero: 'no play, no preload',
}

const ofLifter: State[] = ['rattles', 'pumpedUp', 'collapsed', 'zero', 'open']
const ofInjector: State[] = ['freewheels', 'zero', 'open']
const ofScrew: State[] = ['rattles', 'zero', 'open']

/** The states that such an adjuster can be found in. */
export const startsOf = (adjuster: Adjuster): [State, string][] =>
  (adjuster === 'hydraulic' ? ofLifter : adjuster === 'injectorScrew' ? ofInjector : ofScrew).map((state) => [
    state,
    startWords[state],
  ])

type Amount = Schemas['AmountResponse'] | null | undefined

export type AmountUnit = 'turns' | 'mm' | 'Nm'

/** What the book's amount is counted in, and how much it is; null where the book gives none. */
export const amountUnit = (amount: Amount): AmountUnit =>
  amount?.mm != null ? 'mm' : amount?.nm != null ? 'Nm' : 'turns'
export const amountOf = (amount: Amount) => amount?.turns ?? amount?.mm ?? amount?.nm ?? null

/** The signs by which first contact, or zero lash, is found. */
export function contactsOf(adjuster: Adjuster, unit: string): string[] {
  if (adjuster === 'hydraulic')
    return ['pushrod turned between the fingers until it just drags', 'pushrod lifted: no play left up and down']
  if (unit === 'mm') return ['the height gauge just passes under']
  if (unit === 'Nm') return ['slackened right off, then by the torque wrench']
  return ['slackened right off; the roller just touches and can barely be turned', 'by the plunger just moving']
}
