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

/** The sentence for what is no amount; the unit stands beside it. */
export const notAnAmount = (text: string): string | undefined =>
  /^(\d+([.,]\d+)?|[.,]\d+|(\d+ )?\d+\/[1-9]\d*)?$/.test(text.trim())
    ? undefined
    : `'${text}' is no amount: give a figure or a fraction, such as 0.5 or 1/2.`
