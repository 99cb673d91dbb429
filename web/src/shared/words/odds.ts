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
