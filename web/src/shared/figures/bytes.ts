/** 840 B, 12 kB, 3.4 MB. */
export function bytes(n: number): string {
  if (n < 1_000) return `${n} B`
  if (n < 1_000_000) return `${Math.round(n / 1_000)} kB`
  return `${(n / 1_000_000).toFixed(n < 10_000_000 ? 1 : 0)} MB`
}
