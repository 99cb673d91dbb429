import type { Point } from './bench/useVisit'
import type { Cell } from './useTypeIn'

/** The reading that a cell of the sheet holds. */
export const readingIn = (p: Point, cell: Cell) =>
  cell === 'claimed' ? p.claimed : cell === 'asFound' ? p.found : p.left

/** The shim there, or the old one and the new. */
export const shimIn = (p: Point) =>
  p.shim?.fitted && p.shim.found && p.shim.now
    ? `${p.shim.found.thickness} → ${p.shim.now.thickness}`
    : (p.shim?.now?.thickness ?? '')

/** Whatever stands there already is corrected at the bench; here only what is empty is typed. */
export const isKept = (p: Point, cell: Cell) => !!(cell === 'shim' ? p.shim?.now : readingIn(p, cell))
