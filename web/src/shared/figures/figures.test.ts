import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { usePreferences } from '../preferences'
import { hours } from './hours'
import { mm, thou } from './lengths'
import { notANumber, typedNumber } from './typedNumber'
import { useFigures } from './useFigures'

describe('hours', () => {
  it('have a thin gap that never breaks between thousands', () => {
    expect(hours(18412.4)).toBe('18\u202f412')
    expect(hours(1234567)).toBe('1\u202f234\u202f567')
    expect(hours(999)).toBe('999')
  })

  it('below nothing carry a minus sign and no hyphen', () => expect(hours(-1250)).toBe('−1\u202f250'))
})

describe('millimetres and thou', () => {
  it('are written no longer than they are honest', () => {
    expect(mm(0.38)).toBe('0.38')
    expect(mm(0.375)).toBe('0.375')
    expect(mm(-0.01)).toBe('−0.01')
    expect(thou(0.4064)).toBe('16')
    expect(thou(0.35)).toBe('13.8')
  })
})

describe('figures in the unit of the screen', () => {
  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
  })

  it('change with it', () => {
    const figures = useFigures()
    expect([figures.figure(0.2), figures.withUnit(0.2), figures.other(0.254), figures.rate(-0.012)]).toEqual([
      '0.20',
      '0.20 mm',
      '10 thou',
      '0.012',
    ])
    usePreferences().unit = 'thou'
    expect([figures.figure(0.254), figures.withUnit(0.254), figures.other(0.2), figures.rate(-0.0254)]).toEqual([
      '10',
      '10 thou',
      '0.20 mm',
      '1.00',
    ])
    expect(figures.scaled(0.0508)).toBeCloseTo(2, 12)
  })

  it('that are not there are a dash, and nothing in a tooltip', () => {
    const figures = useFigures()
    expect([figures.figure(null), figures.rough(undefined), figures.withUnit(null), figures.other(null)]).toEqual([
      '—',
      '—',
      '—',
      '',
    ])
  })

  it('worked out and not measured carry no more digits than they deserve', () =>
    expect(useFigures().rough(0.38749)).toBe('0.39'))
})

describe('a typed number', () => {
  it.each([
    ['0.25', 0.25],
    ['0,25', 0.25],
    [' 12 345,5 ', 12345.5],
    ['12\u202f345', 12345],
    ['-3', -3],
    ['.25', 0.25],
  ])('%s is %d', (text, value) => expect(typedNumber(text)).toBe(value))

  it.each(['1.2.3', 'ten', '0x10', '1e3'])('%s is none, and says so', (text) => {
    expect(typedNumber(text)).toBeNaN()
    expect(notANumber(text)).toBe(`'${text}' is not a number.`)
  })

  it('left empty is nothing to complain of', () => {
    expect(typedNumber('')).toBeUndefined()
    expect(notANumber(null)).toBeUndefined()
  })
})
