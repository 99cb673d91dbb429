/** At the beginning of a sentence. */
export const begun = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A probability in percent: 0.4 %, 5 %, over 99 %. */
export function percent(p: number): string {
  if (p < 0.001) return 'less than 0.1 %'
  if (p > 0.99) return 'over 99 %'
  return `${p < 0.00995 ? (p * 100).toFixed(1) : Math.round(p * 100)} %`
}

/** 5 % chance. A found fact is never said as a chance. */
export const chance = (p: number) => `${percent(p)} chance`
