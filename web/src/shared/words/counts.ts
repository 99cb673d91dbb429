const words = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve']

/** A count that begins a sentence: Two, No, 14. */
export const counted = (n: number) => words[n] ?? String(n)

/** 1 engine, 2 engines. */
export const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

/** is or are, its or their: whichever of two forms a count takes. */
export const form = (n: number, one: string, many: string) => (n === 1 ? one : many)
