import { expect, it } from 'vitest'
import { hasWords } from './search'

it('finds by every word in any order, large or small, and everything where nothing is typed', () => {
  const found = (typed: string) => ['Lorry 6, Depot', 'Lorry 3, Quay'].filter(hasWords(typed, (said) => said))
  expect(found('depot LORRY')).toEqual(['Lorry 6, Depot'])
  expect(found('lorry depot quay')).toEqual([])
  expect(found('  ')).toHaveLength(2)
})
