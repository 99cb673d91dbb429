import { typedNumber } from '../../shared/figures/typedNumber'
import { mmPerThou, type Unit } from '../../shared/figures/lengths'
import type { Ask, Read, Typed } from './tool'

/** Reads what was typed; the first thing that is no number is named in `complaint`. */
export function readTyped(
  asks: Ask[],
  typed: Typed,
  unit: Unit,
): { read: Read; complaint: { name: string; text: string } | null } {
  const unitMm = unit === 'thou' ? mmPerThou : 1
  let complaint: { name: string; text: string } | null = null
  for (const ask of asks) {
    if (ask.kind !== 'number' && ask.kind !== 'length') continue
    if (ask.when && !ask.when(typed)) continue
    if (Number.isNaN(typedNumber(typed[ask.name])))
      complaint ??= { name: ask.name, text: `'${typed[ask.name]}' is not a number.` }
  }
  const number = (name: string) => {
    const value = typedNumber(typed[name])
    return value === undefined || Number.isNaN(value) ? null : value
  }
  const split = (text: string) => text.split(/[\s;]+/).filter(Boolean)
  return {
    complaint,
    read: {
      text: (name) => (typed[name] ?? '').trim(),
      number,
      mm: (name) => {
        const value = number(name)
        return value === null ? null : value * unitMm
      },
      numbers: (name) => split(typed[name] ?? '').map((part) => typedNumber(part) ?? Number.NaN),
      lines: (name) =>
        (typed[name] ?? '')
          .split('\n')
          .map((line) => split(line))
          .filter((line) => line.length > 0),
      unitMm,
    },
  }
}
