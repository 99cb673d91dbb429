import type { Schemas } from '../../api/client'
import { newId } from '../../api/newId'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import { bridgesOf, list, sizesOf, uniflowOf } from './adjusterForm'
import { emptySchools, schoolComplaints, schoolRequest, schoolsOf } from './schoolForm'
import { isFilled } from '../../shared/spec/specLine'
import { emptySpec, specRequest } from './specForm'

/** Which way an engine can run, as a book says it. */
export const runs = ['front', 'flywheel'].flatMap((end) =>
  ['clockwise', 'anticlockwise'].map((way) => `${way} seen from the ${end}`),
)

/** A new engine type as it is typed. Nothing of an engine is guessed: what its manual says is empty until somebody types it. */
export const emptyType = () => ({
  id: newId(),
  code: '',
  name: '',
  cycle: 'fourStroke' as Schemas['EngineCycle'],
  firingOrder: '',
  angles: '',
  timing: '',
  guard: '',
  banks: '',
  layout: '',
  letters: '' as Schemas['BookLetters'] | '',
  adjuster: '' as Schemas['AdjusterKind'] | '',
  exhaustAdjuster: '' as Schemas['AdjusterKind'] | '',
  injectorPitch: '',
  bridgeScrews: '',
  shimSizes: '',
  shimMarks: '',
  shimDiameter: '',
  screwFree: '',
  shimRatio: '',
  travelTurns: '',
  secondPass: '',
  selfLocking: false,
  runningMethod: false,
  uniflow: '',
  pastTdc: '',
  stroke: '',
  rod: '',
  pitch: '',
  ratio: '',
  opensClockwise: false,
  schools: emptySchools(),
  /** Which way it runs and from which end that is seen, in the book’s words; unknown where nobody knows. */
  runs: '',
  tool: '',
  toolTurns: '',
  bookHours: '',
  bookMonths: '',
  firstCheck: '',
  breakIn: '',
  jobHours: '',
  spec: emptySpec(),
  /** Steps and kit of the type it was begun from. */
  carried: null as Pick<
    Schemas['EngineTypeRequest'],
    | 'steps'
    | 'fasteners'
    | 'gaskets'
    | 'scarceTools'
    | 'gasketHours'
    | 'narrowBlade'
    | 'hotMinutes'
    | 'resetHotHours'
    | 'sameWithinMm'
  > | null,
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
    carried: {
      steps: type.ownSteps ? type.steps : null,
      fasteners: type.fasteners,
      gaskets: type.gaskets,
      scarceTools: type.scarceTools,
      gasketHours: type.gasketHours ?? null,
      narrowBlade: type.narrowBlade,
      hotMinutes: type.hotMinutes ?? null,
      resetHotHours: type.resetHotHours ?? null,
      sameWithinMm: type.sameWithinMm ?? null,
    },
    letters: type.letters,
    adjuster: type.adjuster,
    exhaustAdjuster: type.byKind.find((k) => k.kind === 'exhaust')?.adjuster ?? '',
    injectorPitch: shown(type.byKind.find((k) => k.kind === 'injector')?.pitchMm),
    bridgeScrews: type.points
      .filter((p) => p.bridgeScrew)
      .map((p) => p.label)
      .join(', '),
    shimSizes: type.shimSizesMm?.join(' ') ?? '',
    shimMarks: type.shimMarks?.join(' ') ?? '',
    shimDiameter: shown(type.shimDiameterMm),
    screwFree: shown(type.screwFreeMm),
    shimRatio: type.shimPerClearance === 1 ? '' : shown(type.shimPerClearance),
    travelTurns: shown(type.travelTurns),
    secondPass: shown(type.secondPassMinutes),
    selfLocking: type.selfLocking,
    runningMethod: type.runningMethod,
    uniflow: type.uniflow
      ? [type.uniflow.evoAtdc, type.uniflow.evcAtdc, type.uniflow.injectorFrom, type.uniflow.injectorTo].join(' ')
      : '',
    pastTdc: shown(type.pastTdcMm),
    stroke: shown(type.strokeMm),
    rod: shown(type.rodMm),
    pitch: shown(type.pitchMm),
    // What only stands in for it is not the book’s in the copy either.
    ratio: type.assumed.includes('clearancePerTravel') ? '' : shown(type.clearancePerTravel),
    opensClockwise: !type.clockwiseCloses,
    schools: schoolsOf(type),
    runs: runs.includes(type.rotation) ? type.rotation : 'unknown',
    tool: type.barringTool,
    toolTurns: shown(type.toolTurnsPerCrankTurn),
    bookHours: shown(type.bookHours),
    bookMonths: shown(type.bookMonths),
    firstCheck: shown(type.firstCheckHours),
    breakIn: shown(type.breakInHours),
    jobHours: shown(type.jobHours),
  }
}

const timingOf = (form: TypeForm) => (form.timing.trim() ? list(form.timing) : null)

/** What can be told wrong before anything is sent, by field. */
export function typeComplaints(form: TypeForm): Record<string, string | undefined> {
  const timing = timingOf(form)
  return {
    ...schoolComplaints(form.schools),
    pitchMm: notANumber(form.pitch),
    travelTurns: notANumber(form.travelTurns),
    secondPassMinutes: notANumber(form.secondPass),
    pastTdcMm: notANumber(form.pastTdc),
    strokeMm: notANumber(form.stroke),
    rodMm: notANumber(form.rod),
    shimSizesMm: sizesOf(form.shimSizes).some(Number.isNaN)
      ? 'Write 2.30 to 3.20 by 0.05, or the sizes one after another.'
      : undefined,
    uniflow:
      form.uniflow.trim() && (list(form.uniflow).length !== 4 || list(form.uniflow).some(Number.isNaN))
        ? 'Give four figures: exhaust opens, closes, injector from, to; or leave it empty.'
        : undefined,
    clearancePerTravel: notANumber(form.ratio),
    rampGuardDeg: notANumber(form.guard),
    toolTurnsPerCrankTurn: notANumber(form.toolTurns),
    bookHours: notHours(form.bookHours),
    bookMonths: notANumber(form.bookMonths),
    firstCheckHours: notHours(form.firstCheck),
    breakInHours: notHours(form.breakIn),
    jobHours: notHours(form.jobHours),
    valveTiming:
      timing && (timing.length !== 4 || timing.some(Number.isNaN))
        ? 'Give four figures: intake opens, intake closes, exhaust opens, exhaust closes; or leave it empty.'
        : undefined,
    firingAnglesDeg:
      form.angles.trim() && list(form.angles).some(Number.isNaN)
        ? 'Give the angles as numbers, such as 0 270.'
        : undefined,
  }
}

/** What is still missing for the book, by field. */
export const typeMissing = (form: TypeForm): Record<string, string | undefined> => ({
  name: form.name.trim() ? undefined : 'Say what it is.',
  firingOrder: form.firingOrder.trim() ? undefined : 'Give the firing order, such as 1 3 4 2.',
  layout: form.layout.trim() ? undefined : 'Give the valves along the head from the front, such as E I I E E I I E.',
  adjuster: form.adjuster ? undefined : 'Choose what sets the valves.',
  rotation: form.runs ? undefined : 'Say which way it runs and from which end that is seen, or that it is not known.',
  ...(form.spec.noFigures ? {} : specMissing(form)),
})

const specMissing = (form: TypeForm): Record<string, string | undefined> => ({
  'spec.revision': form.spec.revision.trim() ? undefined : 'Name the revision, such as A.',
  'spec.source': form.spec.source.trim() ? undefined : 'Say where the clearances come from.',
  'spec.lines': form.spec.lines.some(isFilled)
    ? undefined
    : 'Give at least one clearance: a window from and to, or one figure.',
})

/** As the server wants it; the labels of the points as they stand in the preview, for whoever says all. */
export function typeRequest(form: TypeForm, labels: string[] = []): Schemas['EngineTypeRequest'] {
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
    ...(form.carried ?? {}),
    letters: form.letters || null,
    adjuster: form.adjuster || 'screwAtValve',
    byKind: [
      ...(form.exhaustAdjuster && form.exhaustAdjuster !== form.adjuster
        ? [
            {
              kind: 'exhaust' as const,
              adjuster: form.exhaustAdjuster,
              pitchMm: null,
              clearancePerTravel: null,
              clockwiseCloses: null,
            },
          ]
        : []),
      ...(typedNumber(form.injectorPitch)
        ? [
            {
              kind: 'injector' as const,
              adjuster: 'injectorScrew' as const,
              pitchMm: typedNumber(form.injectorPitch) ?? null,
              clearancePerTravel: null,
              clockwiseCloses: null,
            },
          ]
        : []),
    ],
    bridgeScrews: form.bridgeScrews.trim() ? bridgesOf(form, labels) : null,
    shimSizesMm: form.shimSizes.trim() ? sizesOf(form.shimSizes) : null,
    shimMarks: form.shimMarks.trim() ? form.shimMarks.trim().split(/[\s,;]+/) : null,
    shimDiameterMm: typedNumber(form.shimDiameter) ?? null,
    screwFreeMm: typedNumber(form.screwFree) ?? null,
    shimPerClearance: typedNumber(form.shimRatio) ?? null,
    travelTurns: typedNumber(form.travelTurns) ?? null,
    selfLocking: form.selfLocking,
    runningMethod: form.runningMethod,
    secondPassMinutes: typedNumber(form.secondPass) ?? null,
    uniflow: uniflowOf(form),
    pastTdcMm: typedNumber(form.pastTdc) ?? null,
    strokeMm: typedNumber(form.stroke) ?? null,
    rodMm: typedNumber(form.rod) ?? null,
    pitchMm: typedNumber(form.pitch) ?? null,
    clearancePerTravel: typedNumber(form.ratio) ?? null,
    clockwiseCloses: !form.opensClockwise,
    ...schoolRequest(form.schools),
    rotation: form.runs && form.runs !== 'unknown' ? form.runs : null,
    barringTool: form.tool || null,
    toolTurnsPerCrankTurn: typedNumber(form.toolTurns) ?? null,
    bookHours: typedHours(form.bookHours) ?? null,
    bookMonths: typedNumber(form.bookMonths) ?? null,
    firstCheckHours: typedHours(form.firstCheck) ?? null,
    breakInHours: typedHours(form.breakIn) ?? null,
    jobHours: typedHours(form.jobHours) ?? null,
    spec: form.spec.noFigures ? null : specRequest(form.spec),
    noFigures: form.spec.noFigures,
  }
}
