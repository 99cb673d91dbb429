import { describe, expect, it } from 'vitest'
import { foundIn, placesToGo } from './findPlaces'

const all = placesToGo(
  [
    { engineId: '1', name: 'Ferry Skarv · port main', site: 'North Quay', typeCode: 'F6', machine: 'ferry' },
    { engineId: '2', name: 'Lorry 3', site: 'Depot', typeCode: 'L4', machine: 'lorry' },
    { engineId: '3', name: 'Lorry 6', site: 'Depot', typeCode: 'L4', machine: 'lorry' },
  ],
  [{ id: 't', code: 'L4', name: 'Lorry, straight four' }],
  [{ id: 'p', name: 'Lori' }],
)
const names = (words: string) => foundIn(all, words).map((p) => `${p.kind} ${p.name}`)

describe('Find goes anywhere', () => {
  it('to an engine by any of its words', () => {
    expect(names('lorry 6')).toEqual(['engine Lorry 6'])
    expect(names('port ferry')).toEqual(['engine Ferry Skarv · port main'])
  })

  it('to a place with its engines, once, however many stand there', () =>
    expect(names('depot').filter((n) => n.startsWith('place'))).toEqual(['place Depot']))

  it('to a person, a type and a page, those that begin so first', () => {
    expect(names('lor')[0]).toBe('engine Lorry 3')
    expect(names('lor')).toEqual(expect.arrayContaining(['person Lori', 'type L4']))
    expect(names('due')).toEqual(['page Due list'])
  })

  it('shows the pages before anything is typed, and nothing where nothing fits', () => {
    expect(foundIn(all, ' ').every((p) => p.kind === 'page')).toBe(true)
    expect(names('submarine')).toEqual([])
  })
})
