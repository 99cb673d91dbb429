/** The words of what was typed to look for something. */
const wordsOf = (typed: string) => typed.toLowerCase().split(/\s+/).filter(Boolean)

/**
 * Whether every word typed stands in what is said, in any order. Nothing typed fits everything.
 *
 *     rows.filter(hasWords(find.value, (row) => `${row.name} ${row.site}`))
 */
export function hasWords<T>(typed: string, said: (one: T) => string): (one: T) => boolean {
  const words = wordsOf(typed)
  return (one) => {
    if (words.length === 0) return true
    const text = said(one).toLowerCase()
    return words.every((word) => text.includes(word))
  }
}
