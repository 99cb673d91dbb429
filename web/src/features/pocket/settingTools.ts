import type { Schemas } from '../../api/client'
import GapStrip from '../../instruments/GapStrip.vue'
import { tool, type Ask } from './tool'

export const screw: Ask[] = [
  { name: 'pitch', label: 'Screw pitch, mm', kind: 'number', start: '1.0', hint: 'M8: coarse 1.25, fine 1.' },
  {
    name: 'ratio',
    label: 'Clearance per screw travel',
    kind: 'number',
    start: '1.0',
    hint: '1 for a screw at the valve; the rocker ratio for one at the pushrod.',
  },
]
const gap: Ask[] = [
  { name: 'measured', label: 'Clearance now', kind: 'length', start: '0.31' },
  { name: 'target', label: 'Clearance wanted', kind: 'length', start: '0.40' },
]

export const settingTools = [
  tool<Schemas['ScrewResponse']>({
    key: 'screw',
    name: 'Turn of the screw',
    call: 'screw',
    asks: [
      ...gap,
      ...screw,
      {
        name: 'way',
        label: 'Clockwise',
        kind: 'choice',
        start: 'closes',
        choices: [
          { value: 'closes', text: 'closes the gap (usual)' },
          { value: 'opens', text: 'opens the gap' },
        ],
      },
    ],
    body: (read) => ({
      measuredMm: read.mm('measured'),
      targetMm: read.mm('target'),
      pitchMm: read.number('pitch'),
      clearancePerTravel: read.number('ratio'),
      clockwiseCloses: read.text('way') === 'closes',
    }),
    say: (r, read, f) => ({
      sentence: r.direction
        ? r.degreesFirst
          ? `${r.degrees.toFixed(0)}°, ${r.said}, ${r.direction}.`
          : `${r.said.replace(/^./, (c) => c.toUpperCase())}, ${r.degrees.toFixed(0)}°, ${r.direction}.`
        : 'Nothing to turn: it stands on the figure.',
      lines: ['Lock it, and measure again: the locknut drags the screw round.'],
      picture: {
        is: GapStrip,
        props: {
          tall: true,
          min: Math.min(read.mm('measured') ?? 0, read.mm('target') ?? 0) - 0.02,
          max: Math.max(read.mm('measured') ?? 0, read.mm('target') ?? 0) + 0.02,
          set: read.mm('target'),
          found: read.mm('measured'),
        },
      },
      working: [
        `change = ${f.figure(read.mm('target'))} − ${f.figure(read.mm('measured'))} ${f.unit}`,
        `turns = change ÷ (pitch × clearance per travel) = change ÷ (${read.text('pitch')} mm × ${read.text('ratio') || 1}) = ${r.turns.toFixed(4)}`,
        `${r.turns.toFixed(4)} × 360° = ${r.degrees.toFixed(2)}°; × 16 = ${(r.turns * 16).toFixed(2)} sixteenths`,
      ],
      source:
        'Thread geometry; metric pitches: ISO 261. Clockwise closes on an ordinary rocker: common practice, no source.',
    }),
  }),
  tool<Schemas['CreepResponse']>({
    key: 'creep',
    name: 'Your locknut',
    call: 'creep',
    asks: [
      {
        name: 'pairs',
        label: 'Before and after locking, one pair a line',
        kind: 'lines',
        start: '0.42 0.41\n0.41 0.40\n0.43 0.41\n0.40 0.39\n0.41 0.40',
        hint: 'Five pairs at least.',
      },
      { name: 'target', label: 'Clearance wanted', kind: 'length', start: '0.40' },
    ],
    body: (read) => ({
      pairs: read.lines('pairs').map(([a, b]) => ({
        beforeMm: Number((a ?? '').replace(',', '.')) * read.unitMm,
        afterMm: b === undefined ? null : Number(b.replace(',', '.')) * read.unitMm,
      })),
      targetMm: read.mm('target'),
    }),
    say: (r) => ({
      sentence: r.advice,
      working: [
        'Creep: the mean of (after locking − before locking) over your own pairs; one further than 0.1 mm from their middle is a slip and left out.',
        r.creepMm != null
          ? `mean of ${r.pairs} pairs = ${r.creepMm.toFixed(4)} mm; aim = wanted − creep`
          : `${r.pairs} of 5 pairs: nothing is advised.`,
      ],
      source:
        'Mean: any statistics textbook. About a sixteenth wide before locking is the rule of thumb: common practice, no source.',
    }),
  }),
  tool<Schemas['ShimChoice']>({
    key: 'shim',
    name: 'Which shim?',
    call: 'shim',
    asks: [
      { name: 'measured', label: 'Clearance with the present shim', kind: 'length', start: '0.09' },
      { name: 'current', label: 'Present shim, by micrometer', kind: 'length', start: '2.81' },
      { name: 'target', label: 'Clearance wanted', kind: 'length', start: '0.20' },
      { name: 'min', label: 'Window from', kind: 'length', start: '0.15' },
      { name: 'max', label: 'to', kind: 'length', start: '0.25' },
      { name: 'sizes', label: 'Sizes to choose from', kind: 'text', start: '2.60 2.65 2.70 2.75 2.80' },
      { name: 'k', label: 'Shim travel per clearance', kind: 'number', start: '1' },
    ],
    body: (read) => ({
      measuredMm: read.mm('measured'),
      targetMm: read.mm('target'),
      minMm: read.mm('min'),
      maxMm: read.mm('max'),
      currentShimMm: read.mm('current'),
      shimPerClearance: read.number('k'),
      sizesMm: read.numbers('sizes').map((s) => s * read.unitMm),
    }),
    say: (r, read, f) => ({
      sentence: r.choice
        ? `Fit ${f.withUnit(r.choice.shimMm)}: it gives ${f.figure(r.choice.predictedMm)}.`
        : 'No size lands in the window.',
      tone: r.choice ? 'ink' : 'tight',
      lines: r.alternatives
        .slice(0, 4)
        .map((a) => `${f.figure(a.shimMm)} gives ${f.figure(a.predictedMm)}${a.inWindow ? '' : ', out of the window'}`),
      picture: {
        is: GapStrip,
        props: {
          tall: true,
          min: read.mm('min'),
          max: read.mm('max'),
          set: read.mm('target'),
          found: read.mm('measured'),
          left: r.choice?.predictedMm,
        },
      },
      working: [
        `exact = old + k × (measured − wanted) = ${f.figure(read.mm('current'))} + ${read.text('k') || 1} × (${f.figure(read.mm('measured'))} − ${f.figure(read.mm('target'))}) = ${f.figure(r.exactShimMm)}`,
        'Of the sizes that land in the window, the nearest to the wanted figure; on a tie the thinner, looser one.',
      ],
      source:
        'Common practice: old shim + gap − target = new shim. The size printed on a worn shim is not its thickness.',
    }),
  }),
]
