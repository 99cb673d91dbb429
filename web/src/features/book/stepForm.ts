import type { Schemas } from '../../api/client'
import { typedNumber } from '../../shared/figures/typedNumber'

/** One step as it is typed. */
export interface StepLine {
  key: string
  list: Schemas['StepList']
  text: string
  kind: Schemas['LashKind'] | ''
  points: string[] | null
  crankDeg: string
  counts: Schemas['Counting'] | ''
  pair: string
  asks: string
  onlyJob: Schemas['JobKind'] | ''
  /** Empty: everywhere. */
  places: Schemas['VisitPlace'][]
  afterFitting: boolean
}

export const emptyStep = (place: number): StepLine => ({
  key: `own-${place + 1}-${Math.random().toString(36).slice(2, 6)}`,
  list: 'covers',
  text: '',
  kind: '',
  points: null,
  crankDeg: '',
  counts: '',
  pair: '',
  asks: '',
  onlyJob: '',
  places: [],
  afterFitting: false,
})

/** A step of the book, to be edited. */
export const stepLine = (s: Schemas['TypeStepDto']): StepLine => ({
  key: s.key ?? '',
  list: s.list ?? 'covers',
  text: s.text ?? '',
  kind: s.kind ?? '',
  points: s.points ?? null,
  crankDeg: s.crankDeg == null ? '' : String(s.crankDeg),
  counts: s.counts ?? '',
  pair: s.pair ?? '',
  asks: s.asks ?? '',
  onlyJob: s.onlyJob ?? '',
  places: s.places ?? [],
  afterFitting: s.afterFitting ?? false,
})

/** As the server wants it; what belongs to another place than the step's own is left out. */
export const stepRequest = (l: StepLine): Schemas['TypeStepDto'] => ({
  key: l.key || null,
  list: l.list,
  text: l.text.trim(),
  kind: l.list === 'point' && l.kind ? l.kind : null,
  points: l.list === 'point' && !l.kind ? l.points : null,
  crankDeg: l.list === 'stop' ? (typedNumber(l.crankDeg) ?? null) : null,
  counts: l.list !== 'point' && l.list !== 'kit' && l.counts ? l.counts : null,
  pair: l.counts ? l.pair || 'parts' : null,
  asks: l.counts ? null : l.asks.trim() || null,
  onlyJob: l.onlyJob || null,
  places: l.places.length ? l.places : null,
  afterFitting: l.list === 'point' && l.afterFitting ? true : null,
})
