import { describe, expect, it } from 'vitest'
import { railWindow } from './railBlades'

const tray = ['0.05', '0.10', '0.15', '0.20', '0.25', '0.30', '0.35', '0.40', '0.45', '0.50']
const shown = (around: number, count = 4, shift = 0) => railWindow(tray, Number, around, count, shift)

describe('the rail', () => {
  it('shows the blades round the figure that is expected', () => {
    expect(shown(0.31).blades).toEqual(['0.25', '0.30', '0.35', '0.40'])
    expect(shown(0.3).blades).toEqual(['0.20', '0.25', '0.30', '0.35'])
  })

  it('ends with the tray: nothing goes in before its thinnest, all go after its thickest', () => {
    expect(shown(0.01)).toMatchObject({ blades: ['0.05', '0.10', '0.15', '0.20'], thinnest: true, thickest: false })
    expect(shown(2)).toMatchObject({ blades: ['0.35', '0.40', '0.45', '0.50'], thinnest: false, thickest: true })
  })

  it('names the neighbour beyond either end, so that a gap there can be tapped too', () => {
    expect(shown(0.31)).toMatchObject({ below: '0.20', above: '0.45' })
  })

  it('goes on by a swipe, and no further than the tray', () => {
    expect(shown(0.31, 4, 1).blades[0]).toBe('0.30')
    expect(shown(0.31, 4, 40).blades.at(-1)).toBe('0.50')
    expect(shown(0.31, 4, -40).blades[0]).toBe('0.05')
  })

  it('puts a tray that was written in any order in size order, and shows a small one whole', () => {
    expect(railWindow(['9', '10', '8'], Number, 9, 8).blades).toEqual(['8', '9', '10'])
  })
})
