import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import { emptySpec, specRequest } from './specForm'

/** A new engine type as it is typed. */
export const emptyType = () => ({
  id: newId(),
  code: '',
  name: '',
  cycle: 'fourStroke' as Schemas['EngineCycle'],
  firingOrder: '1 3 4 2',
  angles: '',
  timing: '',
  guard: '15',
  banks: '1 2 3 4',
  layout: 'E I I E E I I E',
  adjuster: 'screwAtValve' as Schemas['AdjusterKind'],
  pitch: '1',
  ratio: '1',
  opensClockwise: false,
  method: 'twoStop' as Schemas['TurningMethod'],
  stops: '',
  rotation: 'clockwise seen from the front',
  tool: 'socket on the crank nut',
  toolTurns: '1',
  bookHours: '',
  bookMonths: '',
  firstCheck: '',
  breakIn: '',
  jobHours: '4',
  spec: emptySpec(),
})
export type TypeForm = ReturnType<typeof emptyType>

const shown = (n: number | null | undefined) => (n == null ? '' : String(n))

/** Another type's particulars as a start, without its code and its clearances' source, which are its own. */
export function copyOf(type: Schemas['EngineTypeResponse']): TypeForm {
  const t = type.timing
  return {
    ...emptyType(),
    name: type.name,
    cycle: type.cycle,
    firingOrder: type.firingOrder.join(' '),
    angles: type.firingAnglesDeg?.join(' ') ?? '',
    timing: type.timingKnown ? [t.ivoBtdc, t.ivcAbdc, t.evoBbdc, t.evcAtdc].join(' ') : '',
    guard: shown(type.rampGuardDeg),
    banks: type.banks,
    layout: type.layout,
    adjuster: type.adjuster,
    pitch: shown(type.pitchMm),
    ratio: shown(type.clearancePerTravel),
    opensClockwise: !type.clockwiseCloses,
    method: type.method,
    rotation: type.rotation,
    tool: type.barringTool,
    toolTurns: shown(type.toolTurnsPerCrankTurn),
    bookHours: shown(type.bookHours),
    bookMonths: shown(type.bookMonths),
    firstCheck: shown(type.firstCheckHours),
    breakIn: shown(type.breakInHours),
    jobHours: shown(type.jobHours),
  }
}

const list = (text: string) =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')))

/** One stop a line: crank degrees, then its points: 0: 1I 1E 2I 3E */
const stopsOf = (form: TypeForm) =>
  form.stops
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line) => {
      const [degrees, points] = line.split(':')
      return {
        crankDeg: Number((degrees ?? '').replace('°', '').trim()),
        points: (points ?? '').split(/[\s,]+/).filter(Boolean),
      }
    })
const timingOf = (form: TypeForm) => (form.timing.trim() ? list(form.timing) : null)

/** What can be told wrong before anything is sent, by field. */
export function typeComplaints(form: TypeForm): Record<string, string | undefined> {
  const timing = timingOf(form)
  return {
    pitchMm: notANumber(form.pitch),
    clearancePerTravel: notANumber(form.ratio),
    rampGuardDeg: notANumber(form.guard),
    toolTurnsPerCrankTurn: notANumber(form.toolTurns),
    bookHours: notANumber(form.bookHours),
    bookMonths: notANumber(form.bookMonths),
    firstCheckHours: notANumber(form.firstCheck),
    breakInHours: notANumber(form.breakIn),
    jobHours: notANumber(form.jobHours),
    valveTiming:
      timing && (timing.length !== 4 || timing.some(Number.isNaN))
        ? 'Give four figures: intake opens, intake closes, exhaust opens, exhaust closes; or leave it empty.'
        : undefined,
    bookStops:
      form.method === 'book' && stopsOf(form).some((s) => Number.isNaN(s.crankDeg))
        ? 'Each line needs its crank degrees, a colon and its points, such as 0: 1I 1E 2I 3E.'
        : undefined,
    firingAnglesDeg:
      form.angles.trim() && list(form.angles).some(Number.isNaN)
        ? 'Give the angles as numbers, such as 0 270.'
        : undefined,
  }
}

/** What is still missing for the book, by field. */
export const typeMissing = (form: TypeForm): Record<string, string | undefined> => ({
  code: form.code.trim() ? undefined : 'Give the code by which the yard knows it.',
  name: form.name.trim() ? undefined : 'Say what it is.',
  'spec.revision': form.spec.revision.trim() ? undefined : 'Name the revision, such as A.',
  'spec.source': form.spec.source.trim() ? undefined : 'Say where the clearances come from.',
  'spec.lines': form.spec.lines.some((l) => l.min || l.max || l.single)
    ? undefined
    : 'Give at least one clearance: a window from and to, or one figure.',
})

/** As the server wants it. */
export function typeRequest(form: TypeForm): Schemas['EngineTypeRequest'] {
  const timing = timingOf(form)
  return {
    id: form.id,
    code: form.code || null,
    name: form.name || null,
    cycle: form.cycle,
    firingOrder: form.firingOrder,
    firingAnglesDeg: form.angles.trim() ? list(form.angles) : null,
    timing:
      timing && timing.length === 4 && form.cycle === 'fourStroke'
        ? { ivoBtdc: timing[0], ivcAbdc: timing[1], evoBbdc: timing[2], evcAtdc: timing[3] }
        : null,
    rampGuardDeg: typedNumber(form.guard) ?? null,
    banks: form.banks || null,
    layout: form.layout || null,
    adjuster: form.adjuster,
    pitchMm: typedNumber(form.pitch) ?? null,
    clearancePerTravel: typedNumber(form.ratio) ?? null,
    clockwiseCloses: !form.opensClockwise,
    method: form.method,
    bookStops: form.method === 'book' ? stopsOf(form) : null,
    rotation: form.rotation || null,
    barringTool: form.tool || null,
    toolTurnsPerCrankTurn: typedNumber(form.toolTurns) ?? null,
    bookHours: typedNumber(form.bookHours) ?? null,
    bookMonths: typedNumber(form.bookMonths) ?? null,
    firstCheckHours: typedNumber(form.firstCheck) ?? null,
    breakInHours: typedNumber(form.breakIn) ?? null,
    jobHours: typedNumber(form.jobHours) ?? null,
    spec: specRequest(form.spec),
  }
}
