import type { Schemas } from '../../api/client'
import GapStrip from '../../instruments/GapStrip.vue'
import { tool, type Ask, type Read } from './tool'

const feels: Record<string, Schemas['Feel']> = {
  free: 'free',
  f: 'free',
  drag: 'drag',
  d: 'drag',
  forced: 'heavyDrag',
  x: 'heavyDrag',
  nogo: 'noGo',
  no: 'noGo',
  n: 'noGo',
}
const window_: Ask[] = [
  { name: 'min', label: 'Window from', kind: 'length', start: '0.35' },
  { name: 'max', label: 'to', kind: 'length', start: '0.45' },
]
const trials = (read: Read) =>
  read.lines('trials').map((words) => ({
    bladesMm: (words[0] ?? '').split('+').map((b) => Number(b.replace(',', '.')) * read.unitMm),
    feel: feels[words.slice(1).join('').toLowerCase()] ?? null,
  }))
const states = { tight: 'Tight', loose: 'Loose', inWindow: 'In window', borderline: 'Borderline' }
const percent = (p: number) => (p < 0.0005 ? 'under 0.05 %' : p > 0.9995 ? 'over 99.95 %' : `${(p * 100).toFixed(1)} %`)

export const measuringTools = [
  tool<Schemas['ReadingResponse']>({
    key: 'blades',
    name: 'Blades to a figure',
    call: 'reading',
    asks: [
      {
        name: 'trials',
        label: 'Blade and feel, one a line',
        kind: 'lines',
        start: '0.20 free\n0.25 no go',
        hint: 'free, drag, forced or no go; a stack as 0.08+0.04',
      },
      { name: 'feel', label: 'Repeatability of your feel, mm', kind: 'number', start: '0.005' },
    ],
    body: (read) => ({ trials: trials(read), feelSdMm: read.number('feel') }),
    say: (r, _read, f) => ({
      sentence:
        r.estimateMm != null
          ? `${f.withUnit(r.estimateMm)}, give or take ${f.figure(r.standardUncertaintyMm)}.`
          : r.upperMm != null
            ? `Under ${f.withUnit(r.upperMm)}: closed up, a finding and not a zero.`
            : `Over ${f.withUnit(r.lowerMm)}.`,
      lines: [
        r.lowerMm != null ? `at least ${f.withUnit(r.lowerMm)}` : 'no blade slid free',
        r.upperMm != null ? `at most ${f.withUnit(r.upperMm)}` : 'nothing was stopped',
      ],
      picture: {
        is: GapStrip,
        props: {
          tall: true,
          min: (r.lowerMm ?? r.estimateMm ?? 0) - 0.05,
          max: (r.upperMm ?? r.estimateMm ?? 0.3) + 0.05,
          found: r.estimateMm,
          lower: r.lowerMm,
          upper: r.upperMm,
        },
      },
      working: [
        'Lower bound: the thickest blade that slid free. Upper bound: the thinnest that was forced or did not go.',
        'With a drag, the figure is the middle of the thinnest and thickest that dragged; otherwise the middle of the bounds.',
        r.estimateMm != null
          ? `u² = width² ÷ 12 + s²; u = ${r.standardUncertaintyMm?.toFixed(5)} mm`
          : 'Only one side is known: no figure is invented.',
      ],
      source:
        'Rectangular distribution: JCGM 100:2008, 4.3.7. Repeatability of feel 0.005 mm: common practice, no source.',
    }),
  }),
  tool<Schemas['NextBladeResponse']>({
    key: 'next-blade',
    name: 'Which blade next?',
    call: 'next-blade',
    asks: [
      ...window_,
      { name: 'tray', label: 'Blades you own', kind: 'text', start: '0.20 0.25 0.30 0.35 0.40 0.45 0.50' },
      { name: 'lower', label: 'Slid free so far', kind: 'length', start: '' },
      { name: 'upper', label: 'Did not go so far', kind: 'length', start: '' },
      { name: 'expected', label: 'Expected from the trend', kind: 'length', start: '0.38' },
    ],
    body: (read) => ({
      trayMm: read.numbers('tray').map((b) => b * read.unitMm),
      minMm: read.mm('min'),
      maxMm: read.mm('max'),
      lowerMm: read.mm('lower'),
      upperMm: read.mm('upper'),
      expectedMm: read.mm('expected'),
    }),
    say: (r, read, f) => ({
      sentence: r.bladeMm != null ? `Try the ${f.figure(r.bladeMm)}.` : 'Nothing is left to decide with these blades.',
      picture: { is: GapStrip, props: { tall: true, min: read.mm('min'), max: read.mm('max'), found: r.bladeMm } },
      working: [
        'Each blade either goes or does not, which leaves a smaller stretch to decide; a stretch wholly inside or outside the window is decided.',
        'What is expected of the gap (the forecast, 0.02 mm either way) weighs the two outcomes; the blade with the fewest trials expected in all is chosen, worked out over every order of blades.',
      ],
      source: 'Expected cost of a search tree, dynamic programming (any algorithms textbook).',
    }),
  }),
  tool<Schemas['VerdictResponse']>({
    key: 'in-or-out',
    name: 'In or out?',
    call: 'verdict',
    asks: [
      {
        name: 'estimate',
        label: 'Measured',
        kind: 'length',
        start: '0.31',
        hint: 'Or leave it empty and give bounds.',
      },
      { name: 'u', label: 'Give or take, mm', kind: 'number', start: '0.01' },
      { name: 'lower', label: 'At least', kind: 'length', start: '' },
      { name: 'upper', label: 'At most', kind: 'length', start: '' },
      ...window_,
    ],
    body: (read) => ({
      estimateMm: read.mm('estimate'),
      standardUncertaintyMm: read.mm('estimate') === null ? null : read.number('u'),
      lowerMm: read.mm('lower'),
      upperMm: read.mm('upper'),
      minMm: read.mm('min'),
      maxMm: read.mm('max'),
    }),
    say: (r, read, f) => ({
      sentence: `${states[r.state]}${r.decidingBladeMm != null ? `: the ${f.figure(r.decidingBladeMm)} blade decides` : ''}.`,
      tone: r.state === 'tight' || r.state === 'loose' ? r.state : 'ink',
      lines:
        r.pTight != null
          ? [`tight ${percent(r.pTight)}, loose ${percent(r.pLoose ?? 0)}`]
          : ['judged on its bounds; a one-sided reading has no probability'],
      picture: {
        is: GapStrip,
        props: {
          tall: true,
          min: read.mm('min'),
          max: read.mm('max'),
          found: read.mm('estimate'),
          lower: read.mm('lower'),
          upper: read.mm('upper'),
          state: r.state,
        },
      },
      working: [
        'Bounds first: at most the lower limit is tight, at least the upper limit is loose, both bounds inside is in the window.',
        'Otherwise p(tight) = Φ((min − x) ÷ u) and p(loose) = 1 − Φ((max − x) ÷ u); an outcome needs 95 %.',
      ],
      source: 'Conformity probability: JCGM 106:2012. The level of 95 %: common practice, no source.',
    }),
  }),
  tool<Schemas['ReadingResponse']>({
    key: 'dial',
    name: 'Dial on the rocker',
    call: 'dial',
    asks: [
      { name: 'travel', label: 'Dial travel, mm', kind: 'number', start: '0.48' },
      {
        name: 'conversion',
        label: 'Clearance per dial travel',
        kind: 'number',
        start: '0.4167',
        hint: 'The book’s figure for this engine and contact point.',
      },
      { name: 'u', label: 'Dial good to, mm', kind: 'number', start: '0.005' },
    ],
    body: (read) => ({
      travelMm: read.number('travel'),
      conversion: read.number('conversion'),
      standardUncertaintyMm: read.number('u'),
    }),
    say: (r, read, f) => ({
      sentence: `${f.withUnit(r.estimateMm)}, give or take ${f.figure(r.standardUncertaintyMm)}.`,
      working: [
        `clearance = travel × conversion = ${read.text('travel')} × ${read.text('conversion')}; its uncertainty likewise.`,
      ],
      source:
        'Linear scaling: JCGM 100:2008, 5.1. A factor near 2.4 between dial and lobe is known on one bolt-and-locknut four: common practice, no source.',
    }),
  }),
  tool<Schemas['LengthResponse']>({
    key: 'thou-and-mm',
    name: 'Thou and mm',
    call: 'length',
    asks: [
      { name: 'figure', label: 'Figure', kind: 'text', start: '8' },
      {
        name: 'unit',
        label: 'written in',
        kind: 'choice',
        start: 'thou',
        choices: [
          { value: 'thou', text: 'thou (0.001 in)' },
          { value: 'mm', text: 'mm' },
        ],
      },
    ],
    body: (read) => ({ figure: read.text('figure'), unit: read.text('unit') }),
    say: (r) => ({
      sentence: `${Number(r.thou.toFixed(3))} thou is ${Number(r.millimetres.toFixed(4))} mm.`,
      lines: ['“Mil” is not taken: it means thou to some and millimetre to others.'],
      working: ['1 in = 25.4 mm exactly, so 1 thou = 0.0254 mm.'],
      source: 'International inch, 1959; NIST SP 811.',
    }),
  }),
]
