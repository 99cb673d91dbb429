export type Unit = 'mm' | 'thou'

/** Millimetres in a thou, exact: an inch is 25.4 mm. */
export const mmPerThou = 0.0254

const signed = (text: string) => text.replace('-', '−')

/** Millimetres in their shortest honest form: 0.38, and 0.375 only where the half is meant. */
export function mm(value: number): string {
  return signed(Math.abs(value * 100 - Math.round(value * 100)) < 0.02 ? value.toFixed(2) : value.toFixed(3))
}

/** Thou with at most one decimal. */
export function thou(value: number): string {
  return signed((value / mmPerThou).toFixed(1).replace(/\.0$/, ''))
}

/** How thick a blade is, from what is written on it. */
export const bladeMm = (written: string, unit: string) =>
  Number(written.replace(',', '.')) * (unit === 'thou' ? mmPerThou : 1)
