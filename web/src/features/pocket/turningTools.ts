import type { Schemas } from '../../api/client'
import LiftChart from '../../instruments/LiftChart.vue'
import { shortKind } from '../../shared/words/points'
import CrankDial from '../../instruments/CrankDial.vue'
import { methodNames } from '../../shared/words/methods'
import { tool, type Ask, type Read } from './tool'

const kinds: Record<string, Schemas['LashKind']> = { I: 'intake', E: 'exhaust', J: 'injector', B: 'engineBrake' }

const cycleAsk: Ask = {
  name: 'cycle',
  label: 'Cycle',
  kind: 'choice',
  start: 'fourStroke',
  choices: [
    { value: 'fourStroke', text: 'four-stroke' },
    { value: 'twoStroke', text: 'two-stroke, uniflow' },
  ],
}

const engineAsks: Ask[] = [
  { name: 'order', label: 'Firing order', kind: 'text', start: '1 5 3 6 2 4' },
  {
    name: 'angles',
    label: 'Firing angles, if uneven',
    kind: 'text',
    start: '',
    hint: 'Empty: even. Otherwise 0 first, such as 0 270.',
  },
  {
    name: 'timing',
    label: 'Valve timing: IVO IVC EVO EVC',
    kind: 'text',
    start: '15 45 50 15',
    hint: 'Unknown? These are safe for most diesels.',
  },
  { name: 'guard', label: 'Kept clear at both ends of every lift, °', kind: 'number', start: '15' },
]

function engine(read: Read) {
  const t = read.numbers('timing')
  return {
    cycle: read.text('cycle') || 'fourStroke',
    firingOrder: read
      .text('order')
      .split(/[\s,-]+/)
      .filter(Boolean)
      .map(Number),
    firingAnglesDeg: read.text('angles') ? read.numbers('angles') : null,
    valveTiming:
      t.length === 4 && read.text('cycle') !== 'twoStroke'
        ? { ivoBtdc: t[0], ivcAbdc: t[1], evoBbdc: t[2], evcAtdc: t[3] }
        : null,
    rampGuardDeg: read.number('guard'),
  }
}

/** 360 2E 3I: crank degrees, then what the book sets there. */
function bookStops(read: Read) {
  return read.lines('book').map(([degrees, ...points]) => ({
    crankDeg: Number((degrees ?? '').replace(',', '.')),
    set: points.map((point) => ({
      cylinder: Number(point.slice(0, -1)),
      kind: kinds[point.slice(-1).toUpperCase()] ?? point,
    })),
  }))
}

/** 4E open, 1I loose: one a line. */
function seen(read: Read) {
  return read.lines('seen').map(([point, state]) => ({
    cylinder: Number((point ?? '').slice(0, -1)),
    kind: kinds[(point ?? '').slice(-1).toUpperCase()] ?? point,
    state: state ?? null,
  }))
}

export const turningTools = [
  tool<Schemas['TurningPlanResponse']>({
    key: 'where-to-stop',
    name: 'Where to stop',
    call: 'turning-plan',
    asks: [
      engineAsks[0]!,
      engineAsks[1]!,
      {
        name: 'method',
        label: 'How do you like to go about it?',
        kind: 'choice',
        start: 'twoStop',
        choices: Object.entries(methodNames).map(([value, text]) => ({ value, text })),
      },
      {
        name: 'book',
        label: 'The book’s stops, one a line: degrees, then its points',
        kind: 'lines',
        start: '0 1I 1E 2I 3E 4I 5E\n360 2E 3I 4E 5I 6I 6E',
        when: (typed) => typed.method === 'book',
      },
      {
        name: 'start',
        label: 'Begin with cylinder',
        kind: 'number',
        start: '',
        hint: 'Empty: the first in the firing order.',
      },
      engineAsks[2]!,
      engineAsks[3]!,
      cycleAsk,
    ],
    body: (read) => ({
      ...engine(read),
      method: read.text('method'),
      startCylinder: read.number('start'),
      bookStops: read.text('method') === 'book' ? bookStops(read) : null,
    }),
    say: (plan, read) => {
      const margins = plan.stops.flatMap((s) => s.set.map((p) => p.marginDeg ?? 360))
      const n = plan.stops.length
      return {
        sentence: `${n === 1 ? 'One stop' : `${n} stops`}${margins.length ? `. At least ${Math.round(Math.min(...margins))}° to spare` : ''}.`,
        lines: [
          ...plan.stops.map(
            (s, i) =>
              `${i ? `turn ${Math.round(s.turnFromPreviousDeg * 10) / 10}° forwards · ` : ''}stop ${i + 1} · ${s.sign}  ${s.set.map((p) => `${p.cylinder} ${shortKind(p.kind)}`).join(', ') || 'nothing'}`,
          ),
          ...plan.cannotSet.map((p) => p.reason),
        ],
        picture: { is: LiftChart, props: { cycle: plan.cycleDeg, arcs: plan.openArcs, stops: plan.stops } },
        working: [
          'Crank angle is counted forwards from TDC compression of the first cylinder in the firing order; four-stroke, 720° a cycle.',
          `Exhaust is off its base circle from 180 − EVO − guard to 360 + EVC + guard after its own TDC compression; intake from 360 − IVO − guard to 540 + IVC + guard. Guard ${read.text('guard') || '15'}°.`,
          'Margin: degrees from the stop to the nearest edge of that stretch. A point goes to the stop that leaves it the most; one that is clear at none is named, never dropped.',
          ...plan.stops.map(
            (s, i) =>
              `Stop ${i + 1} at ${Math.round(s.crankDeg * 10) / 10}°: ${s.set.map((p) => `${p.cylinder} ${shortKind(p.kind)} ${Math.round(p.marginDeg ?? 0)}°`).join(', ')}.`,
          ),
        ],
        source: 'Common practice; four-stroke valve timing as in any engine textbook.',
      }
    },
  }),
  tool<Schemas['PositionResponse']>({
    key: 'where-am-i',
    name: 'Where am I?',
    call: 'position',
    asks: [
      engineAsks[0]!,
      {
        name: 'seen',
        label: 'What is seen, one a line: 4E open, 1I loose',
        kind: 'lines',
        start: '6E open\n1I loose',
        hint: 'loose, open or moving',
      },
      {
        name: 'mark',
        label: 'Is a TDC mark up?',
        kind: 'choice',
        start: 'yes',
        choices: [
          { value: 'yes', text: 'Yes, a TDC mark is up' },
          { value: 'no', text: 'No mark to go by' },
        ],
      },
      engineAsks[1]!,
      engineAsks[2]!,
      engineAsks[3]!,
    ],
    body: (read) => ({ ...engine(read), observations: seen(read), onTdcMark: read.text('mark') === 'yes' }),
    say: (position, read) => {
      const order = read
        .text('order')
        .split(/[\s,-]+/)
        .filter(Boolean)
        .map(Number)
      const one = position.candidates.length === 1 ? position.candidates[0] : undefined
      const angles = read.text('angles') ? read.numbers('angles') : order.map((_, i) => (i * 720) / order.length)
      return {
        sentence:
          position.contradiction ??
          (one?.compressionCylinder
            ? `${one.compressionCylinder} is on compression${one.rockingCylinder ? `, ${one.rockingCylinder} rocks` : ''}.`
            : one
              ? `Between ${Math.round(one.fromDeg)}° and ${Math.round(one.toDeg)}°.`
              : `${position.candidates.length} positions agree. Look at one more valve.`),
        tone: position.contradiction ? 'tight' : 'ink',
        lines: position.candidates.map((c) =>
          c.fromDeg === c.toDeg
            ? `${Math.round(c.fromDeg)}°${c.compressionCylinder ? `: ${c.compressionCylinder} on compression` : ''}${c.rockingCylinder ? `, ${c.rockingCylinder} rocking` : ''}`
            : `${Math.round(c.fromDeg)}° to ${Math.round(c.toDeg)}°`,
        ),
        picture: one
          ? {
              is: CrankDial,
              props: { cycle: 720, order, angles, crank: (one.fromDeg + (one.toDeg - one.fromDeg) / 2) % 720 },
            }
          : undefined,
        working: [
          'A loose valve stands outside its lift; an open or moving one inside its lift with the guard. On the ramp both are believed.',
          read.text('mark') === 'yes'
            ? 'With a mark up only the TDC marks are tried.'
            : 'Without a mark every stretch of the cycle that agrees is given.',
          'If nothing agrees, each observation is left out in turn: the one without which the rest agree is named.',
        ],
        source: 'Common practice.',
      }
    },
  }),
  tool<Schemas['LobeAwayResponse']>({
    key: 'lobe-away',
    name: 'Lobe away',
    call: 'lobe-away',
    asks: [
      engineAsks[0]!,
      {
        name: 'crank',
        label: 'The crank stands at, °',
        kind: 'number',
        start: '0',
        hint: 'From TDC compression of the first in the firing order.',
      },
      engineAsks[1]!,
      engineAsks[2]!,
      engineAsks[3]!,
    ],
    body: (read) => ({ ...engine(read), crankDeg: read.number('crank') }),
    say: (result) => {
      const now = result.arcs.filter((a) => a.measurableNow)
      return {
        sentence: now.length
          ? `Here you may measure ${now.map((a) => `${a.cylinder} ${shortKind(a.kind)}`).join(', ')}.`
          : 'Nothing may be measured here: bar on.',
        lines: result.arcs.map(
          (a) =>
            `${a.cylinder} ${shortKind(a.kind)}: from ${Math.round(a.fromDeg)}° to ${Math.round(a.toDeg)}°${a.measurableNow ? `, now ${Math.round(a.marginDeg ?? 0)}° clear` : ''}`,
        ),
        working: [
          'No stops: each point has one arc of the cycle in which its lobe points away, and may be measured anywhere in it, in any order. Keep a running list of what is left.',
        ],
        source: 'Common practice.',
      }
    },
  }),
  tool<Schemas['PistonTravelResponse']>({
    key: 'past-tdc',
    name: 'Past TDC',
    call: 'piston-travel',
    asks: [
      { name: 'stroke', label: 'Stroke, mm', kind: 'number', start: '60' },
      { name: 'rod', label: 'Rod length, mm, centre to centre', kind: 'number', start: '100' },
      {
        name: 'known',
        label: 'Known is',
        kind: 'choice',
        start: 'travel',
        choices: [
          { value: 'travel', text: 'the piston’s travel' },
          { value: 'degrees', text: 'the crank’s degrees' },
        ],
      },
      {
        name: 'travel',
        label: 'Piston travel past TDC, mm',
        kind: 'number',
        start: '6.35',
        hint: 'A quarter inch clears a compression release.',
        when: (typed) => typed.known !== 'degrees',
      },
      {
        name: 'degrees',
        label: 'Degrees past TDC',
        kind: 'number',
        start: '30',
        when: (typed) => typed.known === 'degrees',
      },
    ],
    body: (read) => ({
      strokeMm: read.number('stroke'),
      rodMm: read.number('rod'),
      ...(read.text('known') === 'degrees'
        ? { crankDeg: read.number('degrees') }
        : { travelMm: read.number('travel') }),
    }),
    say: (r, read) => ({
      sentence:
        read.text('known') === 'degrees'
          ? `${r.travelMm.toFixed(2)} mm (${(r.travelMm / 25.4).toFixed(3)} in) past TDC.`
          : `${r.crankDeg.toFixed(2)}° past TDC.`,
      picture: { is: CrankDial, props: { cycle: 360, order: [1], angles: [0], crank: r.crankDeg } },
      working: [
        `r = stroke ÷ 2 = ${(read.number('stroke') ?? 0) / 2} mm, l = ${read.text('rod')} mm, x = ${r.travelMm.toFixed(3)} mm, s = r + l − x.`,
        'cos a = (r² + s² − l²) ÷ (2 r s)',
        `a = ${r.crankDeg.toFixed(4)}°`,
      ],
      source:
        'Slider-crank relation, any dynamics textbook. Measuring a quarter inch past TDC on an engine with a compression release: common practice, no source.',
    }),
  }),
  tool<Schemas['RimResponse']>({
    key: 'rim-tape',
    name: 'Rim tape',
    call: 'rim',
    asks: [
      { name: 'diameter', label: 'Pulley or flywheel diameter, mm', kind: 'number', start: '200' },
      { name: 'degrees', label: 'Degrees to turn', kind: 'number', start: '120' },
    ],
    body: (read) => ({ diameterMm: read.number('diameter'), degrees: read.number('degrees') }),
    say: (r, read) => ({
      sentence: `${r.distanceMm.toFixed(1)} mm along the rim.`,
      lines: ['Lay a tape round it and chalk both ends.'],
      working: [`π × ${read.text('diameter')} mm × ${read.text('degrees')}° ÷ 360° = ${r.distanceMm.toFixed(3)} mm`],
      source: 'Circumference of a circle.',
    }),
  }),
]
