/**
 * What typed hours can mean: nothing, one figure, or two. 3,200 and 1.480 could be thousands or a fraction, and are never guessed; 12 345, 12,345.5
 * and 12.345,5 are plain. The same reading as the server's of a file (WrittenHours).
 *
 *     hoursWays('3,200') // [3.2, 3200]
 */
export function hoursWays(text: string | number | null | undefined): number[] {
  const plain = String(text ?? '').replace(/[\s’']/g, '')
  if (/^\d+$/.test(plain)) return [Number(plain)]
  const one = /^(\d*)([.,])(\d+)$/.exec(plain)
  if (one) {
    const fraction = Number(`${one[1]}.${one[3]}`)
    return one[3]!.length === 3 && /^[1-9]\d{0,2}$/.test(one[1]!) ? [fraction, Number(one[1]! + one[3]!)] : [fraction]
  }
  const grouped = /^(\d{1,3}(?:([.,])\d{3})(?:\2\d{3})*)(?:(?!\2)[.,](\d+))?$/.exec(plain)
  return grouped ? [Number(`${grouped[1]!.replace(/[.,]/g, '')}.${grouped[3] ?? 0}`)] : []
}

/** Typed hours; empty is undefined, what is no figure or could be two is NaN: say so at the field. */
export function typedHours(text: string | number | null | undefined): number | undefined {
  if (!String(text ?? '').trim()) return undefined
  const ways = hoursWays(text)
  return ways.length === 1 ? ways[0] : Number.NaN
}

/** The sentence for a field whose hours are none, or could be two figures. */
export function notHours(text: string | number | null | undefined): string | undefined {
  if (!Number.isNaN(typedHours(text))) return undefined
  const ways = hoursWays(text)
  return ways.length ? `'${text}' could be ${ways.join(' h or ')} h: say which.` : `'${text}' is not a number of hours.`
}
