/** A chance as plain odds: one in twenty. A found fact is never said as a chance. */
export function odds(risk: number): string {
  const names: Record<number, string> = {
    2: 'two',
    3: 'three',
    4: 'four',
    5: 'five',
    6: 'six',
    8: 'eight',
    10: 'ten',
    12: 'twelve',
    15: 'fifteen',
    20: 'twenty',
    25: 'twenty-five',
    30: 'thirty',
    40: 'forty',
    50: 'fifty',
    100: 'a hundred',
  }
  const in_ = Math.round(1 / risk)
  return `one in ${names[in_] ?? in_}`
}

/** At the beginning of a sentence. */
export const begun = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Any chance, also the likely ones: one in 340, three in four, more likely than not. */
export function chance(p: number): string {
  if (p < 0.001) return 'less than one in a thousand'
  if (p <= 0.4) return odds(p)
  if (p < 0.6) return 'as likely as not'
  if (p < 0.9) return 'more likely than not'
  return 'all but certain'
}
