import { describe, expect, it } from 'vitest'
import { travelText, turnText, watchText } from './turns'

const stop = {
  index: 1,
  crankDeg: 360,
  turnFromPreviousDeg: 360,
  toolTurnsFromPrevious: 12,
  turnDeg: null as number | null,
  toolTurns: null as number | null,
  compressionCylinder: 6,
  rockingCylinder: 1,
  sign: '6 on compression, 1 rocks.',
}
const bar = { toolTurnsPerCrankTurn: 1 }

describe('the turn to a stop', () => {
  it('is called out in whole and half turns', () => {
    expect(turnText(stop, bar)).toBe('Bar forwards one whole turn.')
    expect(turnText({ ...stop, turnDeg: 180, toolTurns: 180 / 360 }, bar)).toBe('Bar forwards half a turn.')
    expect(turnText({ ...stop, turnDeg: 120 }, bar)).toBe('Bar forwards 120°.')
  })

  it('counts turns of the barring gear, and of the cam where the book does', () => {
    expect(turnText({ ...stop, turnDeg: 180, toolTurns: 6 }, { toolTurnsPerCrankTurn: 12, speaksCamTurns: true })).toBe(
      'Bar forwards half a turn, 6 turns of the barring tool, 0.25 turn of the cam.',
    )
  })

  it('is from where the crank stands, and nothing where it stands there already', () => {
    expect(turnText({ ...stop, turnDeg: 0 }, bar)).toBe('The crank stands here.')
  })

  it('is not known at the first stop while nobody said where the crank stands', () => {
    expect(turnText({ ...stop, index: 0, turnFromPreviousDeg: 0 }, bar)).toBeNull()
  })

  it('is said in the words of the school', () => {
    expect(watchText('rocking', stop)).toBe('Bar until 1 rocks: set 6.')
    expect(watchText('exhaustOpeningIntakeClosing', { ...stop, sign: '3 exhaust just begins to move.' })).toBe(
      'Bar until 3 exhaust just begins to move.',
    )
    expect(watchText('twoStop', stop)).toBe('6 on compression, 1 rocks.')
  })
})

describe('a compression release', () => {
  it('is passed by piston travel, and by an angle only where the stroke is known', () => {
    expect(travelText({ travelMm: 6.35, strokeMm: 60, rodMm: 100, degrees: 33.2 })).toBe(
      'From TDC on compression bar on until the piston is 6.35 mm (0.25 in) down, 33° of the crank: a straw on the piston shows it, never a hard rod.',
    )
    expect(travelText({ travelMm: 6.35, strokeMm: null, rodMm: null, degrees: 0 })).not.toContain('°')
    expect(travelText(null)).toBe('')
  })
})
