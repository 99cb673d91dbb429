import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { sizesOf } from './adjusterForm'
import { copyOf, emptyType, typeComplaints, typeMissing, typeRequest } from './typeForm'

describe('a new engine type', () => {
  it('names at once all that the book needs of it', () => {
    expect(Object.keys(typeMissing(emptyType())).filter((k) => typeMissing(emptyType())[k])).toEqual([
      'name',
      'firingOrder',
      'layout',
      'adjuster',
      'rotation',
      'spec.source',
      'spec.lines',
    ])
  })

  it('goes to the server as it was typed, point or comma, empty left out', () => {
    const form = {
      ...emptyType(),
      code: 'TW2',
      pitch: '1,25',
      bookHours: '1 000',
      timing: '15 45 50 15',
      angles: '0 270',
    }
    Object.assign(form.spec.lines[0]!, { asks: 'window', min: '0.15' })
    const request = typeRequest(form)

    expect(request).toMatchObject({ code: 'TW2', name: null, pitchMm: 1.25, bookHours: 1000, bookMonths: null })
    expect(request.timing).toEqual({ ivoBtdc: 15, ivcAbdc: 45, evoBbdc: 50, evcAtdc: 15 })
    expect(request.firingAnglesDeg).toEqual([0, 270])
    expect(request.bookStops).toBeNull()
    expect(request.spec?.lines?.[0]).toMatchObject({ kind: 'intake', min: '0.15', max: null, unit: 'mm' })
  })

  it('guesses nothing of an engine: what nobody typed is empty', () => {
    const empty = emptyType()
    expect([empty.firingOrder, empty.banks, empty.layout, empty.pitch, empty.ratio, empty.runs]).toEqual(
      Array(6).fill(''),
    )
    expect(empty.adjuster).toBe('')
  })

  it('takes “not known” for which way it runs, for the pitch and the ratio, and sends none', () => {
    const form = { ...emptyType(), runs: 'unknown', adjuster: 'screwAtPushrod' as const }
    expect(typeMissing(form)).not.toHaveProperty('pitchMm')
    expect(typeMissing(form).rotation).toBeUndefined()
    expect(typeRequest(form)).toMatchObject({ rotation: null, pitchMm: null, clearancePerTravel: null, timing: null })
    expect(typeRequest({ ...form, runs: 'clockwise seen from the front' }).rotation).toBe(
      'clockwise seen from the front',
    )
  })

  it('sends a clearance as it is written', () => {
    const form = emptyType()
    form.spec.lines[0]!.written = '0.20-0.30'
    expect(typeRequest(form).spec).toMatchObject({
      revision: 'A',
      lines: [{ kind: 'intake', written: '0.20-0.30', min: null }, {}, {}, {}],
    })
  })

  it('says how its book does it, list and names to the letter', () => {
    const form = emptyType()
    Object.assign(form.schools, {
      method: 'book',
      stops: '0°: 8 6\n180: 4 7',
      pointNames: '1 2 3',
      judging: 'oneFigure',
    })
    expect(typeRequest(form)).toMatchObject({
      method: 'book',
      judging: 'oneFigure',
      pointNames: ['1', '2', '3'],
      bookStops: [
        { crankDeg: 0, points: ['8', '6'] },
        { crankDeg: 180, points: ['4', '7'] },
      ],
    })
    form.schools.stops = 'top: 1I'
    expect(typeComplaints(form).bookStops).toContain('where it stops, a colon')
  })

  it.each([
    ['2.30 to 2.45 by 0.05', [2.3, 2.35, 2.4, 2.45]],
    ['2,30 - 2,40 by 0,05', [2.3, 2.35, 2.4]],
    ['2.70 2.75, 2.80', [2.7, 2.75, 2.8]],
    ['', []],
  ])('reads the shim sizes %s', (text, sizes) => expect(sizesOf(text)).toEqual(sizes))

  it('sends a mixed head, an injector’s pitch and bridges of two styles', () => {
    const form = {
      ...emptyType(),
      adjuster: 'bridgeScrew' as const,
      exhaustAdjuster: 'screwAtValve' as const,
      injectorPitch: '1.5',
      bridgeScrews: '1E, 2E front',
    }
    expect(typeRequest(form)).toMatchObject({
      byKind: [
        { kind: 'exhaust', adjuster: 'screwAtValve' },
        { kind: 'injector', adjuster: 'injectorScrew', pitchMm: 1.5 },
      ],
      bridgeScrews: ['1E', '2E front'],
    })
    expect(typeRequest({ ...form, bridgeScrews: 'all' }, ['1E', '1I']).bridgeScrews).toEqual(['1E', '1I'])
  })

  it('may come without figures, to be measured now and judged later', () => {
    const form = emptyType()
    form.spec.noFigures = true
    expect(typeMissing(form)['spec.lines']).toBeUndefined()
    expect(typeRequest(form)).toMatchObject({ spec: null, noFigures: true })
  })

  it.each([
    ['pitch', 'one', 'pitchMm'],
    ['bookMonths', 'x', 'bookMonths'],
    ['timing', '15 45 50', 'valveTiming'],
    ['angles', '0 half', 'firingAnglesDeg'],
  ])('with %s typed as "%s" is told beside its field', (field, typed, complaint) =>
    expect(typeComplaints({ ...emptyType(), [field]: typed })[complaint]).toBeTruthy(),
  )

  it('typed as the book has it is told nothing', () =>
    expect(Object.values(typeComplaints(emptyType())).filter(Boolean)).toEqual([]))

  it('copied from another takes all but its code and its clearances', () => {
    const other = {
      name: 'Lorry, straight six',
      cycle: 'fourStroke',
      firingOrder: [1, 5, 3, 6, 2, 4],
      firingAnglesDeg: null,
      timingKnown: true,
      timing: { ivoBtdc: 10, ivcAbdc: 40, evoBbdc: 45, evcAtdc: 12 },
      rampGuardDeg: 15,
      banks: '1 2 3 4 5 6',
      layout: 'E I',
      adjuster: 'screwAtPushrod',
      pitchMm: 1,
      assumed: [] as string[],
      clearancePerTravel: 1.4,
      clockwiseCloses: true,
      method: 'twoStop',
      order: 'oneBlade',
      letters: 'intakeExhaust',
      byKind: [],
      steps: [{ key: 'a', list: 'covers', text: 'Fan off.' }],
      ownSteps: true,
      fasteners: [{ use: 'locknut', size: '13 mm', torqueNm: 22, count: null }],
      gaskets: [],
      scarceTools: [],
      points: [],
      bookStops: [],
      rotation: 'anticlockwise seen from the flywheel',
      barringTool: 'bar',
      toolTurnsPerCrankTurn: 12,
      bookHours: 2000,
      bookMonths: null,
      firstCheckHours: null,
      breakInHours: 50,
      jobHours: 6,
    } as unknown as Schemas['EngineTypeResponse']
    const copy = copyOf(other)

    expect(copy).toMatchObject({
      code: '',
      firingOrder: '1 5 3 6 2 4',
      timing: '10 40 45 12',
      ratio: '1.4',
      bookHours: '2000',
      bookMonths: '',
      runs: 'anticlockwise seen from the flywheel',
      schools: { order: 'oneBlade' },
    })
    expect(typeRequest(copy)).toMatchObject({ steps: [{ text: 'Fan off.' }], fasteners: [{ torqueNm: 22 }] })
    expect(copyOf({ ...other, assumed: ['clearancePerTravel'] }).ratio).toBe('')
    expect(copy.spec.source).toBe('')
    expect(copy.id).not.toBe(copyOf(other).id)
  })
})
