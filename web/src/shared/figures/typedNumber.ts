import { mmPerThou } from './lengths'

/**
 * A typed number, with decimal point or comma. Empty is undefined; what is no number is NaN, which a server would never see: say so at the
 * field instead.
 */
export function typedNumber(text: string | number | null | undefined): number | undefined {
  const trimmed = String(text ?? '').trim()
  if (trimmed === '') return undefined
  return /^[-+]?(\d+([.,]\d+)?|[.,]\d+)$/.test(trimmed.replace(/[\s\u2009]/g, ''))
    ? Number(trimmed.replace(/[\s\u2009]/g, '').replace(',', '.'))
    : Number.NaN
}

/** The sentence for a field that holds no number. */
export function notANumber(text: string | number | null | undefined): string | undefined {
  return Number.isNaN(typedNumber(text)) ? `'${text}' is not a number.` : undefined
}

/** A typed length in millimetres; null where nothing, no number or a negative one was typed. */
export function typedLengthMm(text: string, unit: string): number | null {
  const value = typedNumber(text)
  if (value === undefined || Number.isNaN(value) || value < 0) return null
  return unit === 'thou' ? value * mmPerThou : value
}
