import { until } from '@vueuse/core'
import { reactive } from 'vue'
import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import type { Entry } from '../../offline/entries'
import { useTyped } from '../../shared/forms/useTyped'
import { thickness } from '../../shared/words/shims'
import { claimed } from './claimed'
import { readShim } from './readShim'
import type { Point, Sheet, Stage, Trouble } from './bench/useVisit'

/** The cells of a line, as a field sheet has them: a shim changes between found and left. */
export type Cell = Stage | 'shim'

/** What typing in needs of its visit. */
interface TypedVisit {
  id: string
  sheet: () => Sheet
  /** Who claims what is checked, and how the thicknesses on the sheet are known. */
  claimedBy: () => string
  shimsKnownBy: () => Schemas['ShimKnownBy']
  /** What is marked on the shims of its type, where they bear marks. */
  marks?: () => string[] | null | undefined
  trouble: () => Trouble | null
  add: (...entries: Entry[]) => Promise<void>
}

const patience = 5_000
const asWritten = (text: string) => (text.startsWith('.') ? `0${text}` : text)

/**
 * What is typed into a sheet's cells, and what becomes of it: a cell is emptied only once its figure stands. What a rule refuses stays where it was
 * typed, with the reason; what it doubts is kept by the same figure entered again.
 */
export function useTypeIn(visit: TypedVisit) {
  /** Cells typed and not yet entered survive a reload. */
  const { typed } = useTyped<Record<string, string>>(`sheet:${visit.id}`, {})
  const complaints = reactive<Record<string, string>>({})
  const doubted = new Map<string, { text: string; reading: string }>()
  const key = (p: Point, cell: Cell) => `${p.label}/${cell}`
  const now = (label: string) => visit.sheet().points.find((p) => p.label === label)!

  /** Waits for the fold that has judged what was written down; the refusal, where there is one. */
  async function judged(stands: () => boolean, refused: (entry: Trouble['entry']) => boolean): Promise<Trouble | null> {
    const trouble = () => {
      const no = visit.trouble()
      return no && refused(no.entry) ? no : null
    }
    await until(() => stands() || trouble() !== null).toBe(true, { timeout: patience })
    return stands() ? null : trouble()
  }

  /** The reading that grows in a cell, as the sheet makes of it. */
  const growing = (label: string, stage: Stage) =>
    stage === 'asFound' ? now(label).foundDraft : stage === 'asLeft' ? now(label).leftDraft : now(label).beforeLockDraft

  /** Whether the cell's figure stands. What the sheet doubts, or has out of its window, is kept by the same figure entered again. */
  async function figure(p: Point, stage: Stage, text: string, sure: boolean): Promise<boolean> {
    const cell = key(p, stage)
    const before = doubted.get(cell)
    const again = before?.text === text
    const reading = again ? before.reading : newId()
    const mine = (entry: Trouble['entry']) => 'reading' in entry && entry.reading === reading
    const asksAgain = (why: string) => {
      complaints[cell] = `${why} Enter again keeps it.`
      doubted.set(cell, { text, reading })
      return false
    }
    doubted.delete(cell)
    if (!again) {
      const taken: Entry[] = before ? [{ kind: 'dropped', reading: before.reading }] : []
      const { trayUnit } = visit.sheet()
      await visit.add(...taken, {
        kind: 'figureRead',
        reading,
        point: p.label,
        stage,
        figure: asWritten(text),
        unit: trayUnit,
        with: 'figure',
      })
      const no = await judged(() => growing(p.label, stage)?.id === reading, mine)
      if (no) {
        complaints[cell] = no.refusal.message
        return false
      }
    }
    const grown = growing(p.label, stage)
    if (grown?.complaint) {
      complaints[cell] = grown.complaint
      doubted.set(cell, { text: '', reading })
      return false
    }
    if (!sure && !again) {
      if (grown?.surprise) return asksAgain(grown.surprise)
      if (grown?.offerUnit) return asksAgain(`${text} ${grown.unit} is far from the window.`)
      if (grown?.owesWhy) return asksAgain('It is not surely in the window: left so on purpose?')
    }
    const becomes = grown?.onKeeping
    await visit.add(
      { kind: 'kept', reading, ...(sure || again ? { sure: true } : {}) },
      ...(becomes
        ? [
            {
              kind: 'outcome' as const,
              point: p.label,
              outcome: becomes,
              ...(grown.owesWhy ? { why: 'so on the field sheet' } : {}),
            },
          ]
        : []),
    )
    const no = await judged(() => [now(p.label).found?.id, now(p.label).left?.id].includes(reading), mine)
    if (!no) return true
    if (no.refusal.code === 'figureDoubtful') return asksAgain(no.refusal.message)
    complaints[cell] = no.refusal.message
    return false
  }

  async function claim(p: Point, text: string): Promise<boolean> {
    const { reading, entries } = claimed(p.label, asWritten(text), visit.sheet().trayUnit, visit.claimedBy())
    await visit.add(...entries)
    const no = await judged(
      () => now(p.label).claimed?.id === reading,
      (entry) => 'reading' in entry && entry.reading === reading,
    )
    if (no) complaints[key(p, 'claimed')] = no.refusal.message
    return !no
  }

  /** One thickness was there; of two the second went in for the first. */
  async function shim(p: Point, text: string): Promise<boolean> {
    const cell = key(p, 'shim')
    const written = text.split(/[\s>→]+/).filter(Boolean)
    if (written.length < 1 || written.length > 2) {
      complaints[cell] = 'Give the thickness of the shim, or the old and the new one: 2.81 2.70.'
      return false
    }
    const unit = visit.sheet().trayUnit === 'thou' && Number(written[0]!.replace(',', '.')) > 25 ? 'thou' : 'mm'
    const thicknesses: string[] = []
    for (const one of written) {
      const answer = await readShim(one, unit, p.shim!.sizesMm, visit.marks?.())
      if ('complaint' in answer) {
        const offers = answer.offers.map((mm) => `${thickness(mm, unit)} ${unit}`).join(', ')
        complaints[cell] = offers ? `${answer.complaint} ${offers}.` : answer.complaint
        return false
      }
      thicknesses.push(answer.thickness)
    }
    const [old, fitted] = thicknesses as [string, string?]
    const read = { kind: 'shimRead', point: p.label, unit, how: visit.shimsKnownBy() } as const
    const entries: Entry[] = [{ ...read, stage: 'asFound', thickness: old }]
    if (fitted)
      entries.push(
        { kind: 'outcome', point: p.label, outcome: 'shimFitted', old, new: fitted, unit },
        { ...read, stage: 'asLeft', thickness: fitted },
      )
    await visit.add(...entries)
    const no = await judged(
      () => now(p.label).shim?.now?.thickness === (fitted ?? old),
      (entry) =>
        'point' in entry &&
        entry.point === p.label &&
        (('thickness' in entry && [old, fitted].includes(entry.thickness)) || ('new' in entry && entry.new === fitted)),
    )
    if (no) complaints[cell] = no.refusal.message
    return !no
  }

  /** Writes a cell down; whether the next one may be gone to. */
  async function enter(p: Point, cell: Cell, sure: boolean): Promise<boolean> {
    const place = key(p, cell)
    const text = typed[place]?.trim() ?? ''
    complaints[place] = ''
    if (!text) return true
    const stands = cell === 'shim' ? shim(p, text) : cell === 'claimed' ? claim(p, text) : figure(p, cell, text, sure)
    if (!(await stands)) return false
    typed[place] = ''
    return true
  }

  return { typed, complaints, key, enter }
}
