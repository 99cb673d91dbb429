import type { Entry } from '../../offline/entries'
import type { AmountUnit } from '../../shared/words/amounts'

/** A point set by its book's amount, in its first pass; a sign alone, like zero lash, has no contact to name. */
export const byTheBook = (point: string, amount: string, unit: AmountUnit, contact: string): Entry => ({
  kind: 'outcome',
  point,
  outcome: 'byTheBook',
  amount,
  unit,
  ...(contact ? { contact } : {}),
  pass: 1,
})
