import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, reactive, type EffectScope } from 'vue'
import type { Entry } from '../../offline/entries'
import type { Point, Sheet, Trouble } from './bench/useVisit'
import { useTypeIn, type Cell } from './useTypeIn'

const call = vi.hoisted(() => vi.fn())
vi.mock('../../core/call', () => ({ call }))

let scope: EffectScope
beforeEach(() => {
  sessionStorage.clear()
  localStorage.clear()
  call.mockReset()
  scope = effectScope()
})
afterEach(() => scope.stop())

/** A sheet being typed in; `judge` plays the fold that answers what was written down. */
function typing(judge: (point: Point, entries: Entry[]) => Trouble | null, point: object = {}) {
  const state = reactive({
    trouble: null as Trouble | null,
    point: { label: '1E', found: null, left: null, shim: null, ...point } as unknown as Point,
  })
  const said: Entry[] = []
  const work = scope.run(() =>
    useTypeIn({
      id: 'v1',
      sheet: () => ({ trayUnit: 'mm', points: [state.point] }) as unknown as Sheet,
      claimedBy: () => 'head shop',
      shimsKnownBy: () => 'printed',
      trouble: () => state.trouble,
      add: async (...entries) => {
        said.push(...entries)
        state.trouble = judge(state.point, entries)
        await nextTick()
      },
    }),
  )!
  const type = (cell: Cell, text: string, sure = false) => {
    work.typed[`1E/${cell}`] = text
    return work.enter(state.point, cell, sure)
  }
  return { ...work, type, said }
}
/** The sheet's answer to a figure that was read. */
function grows(point: Point, entries: Entry[], more: object = {}) {
  const read = entries.find((e) => e.kind === 'figureRead')
  if (read?.kind !== 'figureRead') return
  const grown = { id: read.reading, unit: 'mm', ...more } as NonNullable<Point['foundDraft']>
  if (read.stage === 'asLeft') point.leftDraft = grown
  else point.foundDraft = grown
}
/** A figure read grows; found stands as soon as its reading is kept. */
const stands = (point: Point, entries: Entry[]) => {
  grows(point, entries)
  const kept = entries.find((e) => e.kind === 'kept')
  if (kept?.kind === 'kept') point.found = { id: kept.reading } as Point['found']
  return null
}
/** Doubts what is read first; what is kept after that stands. */
function doubtsOnce() {
  let doubted = false
  return (point: Point, entries: Entry[]) => {
    if (doubted) return stands(point, entries)
    doubted = true
    grows(point, entries, { surprise: '20 mm is far from 0.40.' })
    return null
  }
}
const shim = { sizesMm: [2.6, 2.65, 2.7], now: null }

describe('a field sheet typed in', () => {
  it('empties a cell once its figure stands', async () => {
    const sheet = typing(stands)
    expect(await sheet.type('asFound', '.20')).toBe(true)
    expect(sheet.said[0]).toMatchObject({ kind: 'figureRead', point: '1E', stage: 'asFound', figure: '0.20' })
    expect(sheet.typed['1E/asFound']).toBe('')
  })

  it('leaves a doubted figure where it was typed, and keeps it entered again', async () => {
    const sheet = typing(doubtsOnce())
    expect(await sheet.type('asFound', '20')).toBe(false)
    expect(sheet.typed['1E/asFound']).toBe('20')
    expect(sheet.complaints['1E/asFound']).toContain('Enter again keeps it.')
    expect(await sheet.type('asFound', '20')).toBe(true)
    expect(sheet.said.at(-1)).toMatchObject({ kind: 'kept', sure: true })
  })

  it('drops the doubted figure where another is typed for it', async () => {
    const sheet = typing(doubtsOnce())
    await sheet.type('asFound', '20')
    const first = sheet.said.find((e) => e.kind === 'figureRead')!
    await sheet.type('asFound', '0.20')
    expect(sheet.said).toContainEqual({ kind: 'dropped', reading: 'reading' in first && first.reading })
  })

  it('an as-left that is out of its window is left so on purpose, by the same figure entered again', async () => {
    const sheet = typing((point, entries) => {
      grows(point, entries, { owesWhy: true, onKeeping: 'leftSo' })
      const kept = entries.find((e) => e.kind === 'kept')
      if (kept?.kind === 'kept') point.left = { id: kept.reading } as Point['left']
      return null
    })
    expect(await sheet.type('asLeft', '0.55')).toBe(false)
    expect(sheet.complaints['1E/asLeft']).toContain('left so on purpose?')
    expect(await sheet.type('asLeft', '0.55')).toBe(true)
    expect(sheet.said.at(-1)).toMatchObject({ kind: 'outcome', outcome: 'leftSo', why: 'so on the field sheet' })
  })

  it('writes old and new shim down with how the sheet knows them', async () => {
    call.mockImplementation(async (_: string, { written }: { written: string }) => ({
      mm: Number(written),
      offersMm: [],
    }))
    const sheet = typing(
      (point) => {
        point.shim!.now = { thickness: '2.70' } as NonNullable<Point['shim']>['now']
        return null
      },
      { shim },
    )
    expect(await sheet.type('shim', '2.81 2.70')).toBe(true)
    expect(sheet.said).toEqual([
      { kind: 'shimRead', point: '1E', stage: 'asFound', thickness: '2.81', unit: 'mm', how: 'printed' },
      { kind: 'outcome', point: '1E', outcome: 'shimFitted', old: '2.81', new: '2.70', unit: 'mm' },
      { kind: 'shimRead', point: '1E', stage: 'asLeft', thickness: '2.70', unit: 'mm', how: 'printed' },
    ])
  })

  it('takes what the seller claims as it is, under his name', async () => {
    const sheet = typing((point, entries) => {
      const kept = entries.find((e) => e.kind === 'kept')
      if (kept?.kind === 'kept') point.claimed = { id: kept.reading } as Point['claimed']
      return null
    })
    expect(await sheet.type('claimed', '.30')).toBe(true)
    expect(sheet.said).toMatchObject([
      { kind: 'figureRead', stage: 'claimed', figure: '0.30', claimedBy: 'head shop' },
      { kind: 'kept', sure: true },
    ])
  })

  it('asks for last digits whole, and writes nothing down', async () => {
    call.mockResolvedValue({ mm: null, offersMm: [2.7] })
    const sheet = typing(() => null, { shim })
    expect(await sheet.type('shim', '70')).toBe(false)
    expect(sheet.complaints['1E/shim']).toBe('Say it whole: is 70 one of these? 2.70 mm.')
    expect(sheet.typed['1E/shim']).toBe('70')
    expect(sheet.said).toEqual([])
  })

  it('takes no third shim, and an arrow alone is none', async () => {
    const sheet = typing(() => null, { shim })
    expect(await sheet.type('shim', '→')).toBe(false)
    expect(sheet.complaints['1E/shim']).toContain('Give the thickness of the shim')
    expect(await sheet.type('shim', '2.81 2.70 2.65')).toBe(false)
    expect(sheet.complaints['1E/shim']).toContain('the old and the new one')
  })
})
