/** Points as they sit: bank by bank, cylinder by cylinder from the front, each with its own points in their order. */
export function banksOf<P extends { bank: number; along: number; cylinder: number }>(
  points: P[],
): { cylinder: number; points: P[] }[][] {
  const banks: { cylinder: number; points: P[] }[][] = []
  for (const point of [...points].sort((a, b) => a.bank - b.bank || a.along - b.along)) {
    const bank = (banks[point.bank] ??= [])
    const last = bank.at(-1)
    if (last?.cylinder === point.cylinder) last.points.push(point)
    else bank.push({ cylinder: point.cylinder, points: [point] })
  }
  return banks.filter(Boolean)
}
