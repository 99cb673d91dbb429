import { Refusal } from '../../api/client'
import { call } from '../../core/call'
import type { Unit } from '../../shared/figures/lengths'
import { size, thickness } from '../../shared/words/shims'

/** What was written of a shim: its thickness, or what is to be asked. */
export type ShimAnswer = { thickness: string } | { complaint: string; offers: number[] }

/** Reads a thickness as it is written, stamped or called; last digits and a lost point are asked for whole. */
export async function readShim(
  typed: string,
  unit: Unit,
  sizes: number[],
  marks?: string[] | null,
): Promise<ShimAnswer> {
  const written = typed.trim().replace(',', '.')
  try {
    const { mm, offersMm: offers } = await call('shim-mark', {
      written,
      sizesMm: sizes,
      unit,
      ...(marks ? { marks } : {}),
    })
    if (mm != null) return { thickness: unit === 'thou' || /^\d+\.\d+$/.test(written) ? written : size(mm) }
    if (offers.length) return { complaint: `Say it whole: is ${written} one of these?`, offers }
    const [least, most] = [sizes[0] ?? 0, sizes.at(-1) ?? 0].map((one) => thickness(one, unit))
    return { complaint: `${written} is no thickness of this series (${least} to ${most} ${unit}).`, offers }
  } catch (caught) {
    return { complaint: caught instanceof Refusal ? caught.message : 'It could not be read; try again.', offers: [] }
  }
}
