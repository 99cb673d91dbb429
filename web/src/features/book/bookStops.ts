/** How a book counts its stops. */
export const stopUnits = {
  crankDegrees: 'degrees of the crank',
  crankTurns: 'turns of the crank',
  camDegrees: 'degrees of the cam',
  camTurns: 'turns of the cam',
} as const
export type StopUnit = keyof typeof stopUnits

const perUnit: Record<StopUnit, number> = { crankDegrees: 1, crankTurns: 360, camDegrees: 2, camTurns: 720 }

/** A list as it stands in the book, one stop a line: where, a colon, its points by number, name or cylinder. "0: 8 6" */
export function stopsOf(text: string, unit: StopUnit) {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [where, points] = line.split(':')
      const number = Number((where ?? '').replace('°', '').replace(',', '.').trim())
      return {
        crankDeg: Math.round(number * perUnit[unit] * 1e6) / 1e6,
        points: (points ?? '')
          .split(points?.includes(',') ? /,/ : /\s+/)
          .map((p) => p.trim())
          .filter(Boolean),
      }
    })
}

/** The same list as it is typed, for one that is in the book already. */
export const stopsText = (stops: { crankDeg: number; points?: readonly string[] | null }[]) =>
  stops
    .map((s) => {
      const points = s.points ?? []
      return `${s.crankDeg}: ${points.join(points.some((p) => p.includes(' ')) ? ', ' : ' ')}`
    })
    .join('\n')

/** The book's names of the points, in the order of the heads: parted by commas, or by spaces where no name has one. */
export const namesOf = (text: string) =>
  text.trim()
    ? text
        .split(text.includes(',') ? /,/ : /\s+/)
        .map((name) => name.trim())
        .filter(Boolean)
    : null
