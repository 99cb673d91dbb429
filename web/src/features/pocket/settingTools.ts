import { plural } from '../../shared/words/counts'
import type { Schemas } from '../../api/client'
import GapStrip from '../../instruments/GapStrip.vue'
import { tool, type Ask } from './tool'

const screw: Ask[] = [
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
        'Creep: the median of (after locking − before locking) over your own pairs.',
        r.creepMm != null
          ? `median of ${r.pairs} pairs = ${r.creepMm.toFixed(4)} mm; aim = wanted − creep`
          : `${r.pairs} of 5 pairs: nothing is advised.`,
      ],
      source:
        'Median: any statistics textbook. About a sixteenth wide before locking is the rule of thumb: common practice, no source.',
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
  tool<Schemas['TurnsResponse']>({
    key: 'preload',
    name: 'Lifter preload',
    call: 'preload',
    asks: [
      {
        name: 'turns',
        label: 'Plunger travel, in turns of the screw',
        kind: 'number',
        start: '1.6',
        hint: 'Or leave it empty and give millimetres.',
      },
      { name: 'mm', label: 'Plunger travel, mm', kind: 'number', start: '' },
      ...screw,
      { name: 'fraction', label: 'Part of the travel', kind: 'number', start: '0.5' },
    ],
    body: (read) => ({
      travelTurns: read.number('turns'),
      travelMm: read.number('mm'),
      pitchMm: read.number('pitch'),
      clearancePerTravel: read.number('ratio'),
      fraction: read.number('fraction'),
    }),
    say: (r, read) => ({
      sentence: `${Number(r.turns.toFixed(3))} ${r.turns > 1 ? 'turns' : 'turn'} past zero lash.`,
      lines: [
        `near enough ${plural(Math.round(r.turns * 16), 'sixteenth')}`,
        'Find zero lash by turning the pushrod between the fingers; a hand on the rocker gives a false zero.',
      ],
      working: [
        read.number('turns') !== null
          ? `${read.text('turns')} turns × ${read.text('fraction') || 0.5}`
          : `${read.text('mm')} mm ÷ (${read.text('pitch')} × ${read.text('ratio') || 1}) × ${read.text('fraction') || 0.5}`,
        `= ${r.turns.toFixed(4)} turns`,
      ],
      source:
        'Middle of the plunger travel: common practice, no source. One turn and half a turn are other books’ figures; the book comes first.',
    }),
  }),
  tool<Schemas['TurnsResponse']>({
    key: 'mid-lift',
    name: 'Screw to mid-lift',
    call: 'mid-lift',
    asks: [
      { name: 'lift', label: 'Valve lift, mm', kind: 'number', start: '15.14' },
      {
        name: 'pitch',
        label: 'Screw pitch, mm',
        kind: 'number',
        start: '1.058',
        hint: '24 threads an inch is 1.058 mm.',
      },
    ],
    body: (read) => ({ valveLiftMm: read.number('lift'), pitchMm: read.number('pitch') }),
    say: (r, read) => ({
      sentence: `${r.turns.toFixed(2)} turns of the screw to mid-lift.`,
      lines: [
        'Begin with the valve shut and the screw at zero lash; after these turns the valve stands half open.',
        'There the rocker should stand square to the valve stem. Where it does not, take another pushrod and begin again.',
      ],
      working: [`lift ÷ 2 ÷ pitch = ${read.text('lift')} ÷ 2 ÷ ${read.text('pitch')} = ${r.turns.toFixed(4)}`],
      source: 'Common practice, no source: 0.596 in lift at 24 threads an inch is 7.15 turns.',
    }),
  }),
  tool<Schemas['PushrodLength']>({
    key: 'pushrod-length',
    name: 'Pushrod length',
    call: 'pushrod-length',
    asks: [
      {
        name: 'start',
        label: 'How it stands, its valve shut by the cam',
        kind: 'choice',
        start: 'pressed',
        choices: [
          { value: 'play', text: 'there is play' },
          { value: 'zeroLash', text: 'no play, nothing pressed' },
          { value: 'pressed', text: 'pressed in, or held open' },
        ],
      },
      {
        name: 'play',
        label: 'Play at the valve',
        kind: 'length',
        start: '1.5',
        when: (typed) => typed.start === 'play',
      },
      {
        name: 'back',
        label: 'Turns back to zero lash',
        kind: 'number',
        start: '1.25',
        hint: 'Slacken the screw slowly until the pushrod just turns between the fingers.',
        when: (typed) => typed.start === 'pressed',
      },
      {
        name: 'pitch',
        label: 'Screw pitch, mm',
        kind: 'number',
        start: '1.0',
        when: (typed) => typed.start === 'pressed',
      },
      {
        name: 'screw',
        label: 'Pushrod end per screw travel',
        kind: 'number',
        start: '1',
        hint: '1 for a screw at the pushrod; 1 + 1 ÷ ratio for a nut on the rocker’s stud.',
        when: (typed) => typed.start === 'pressed',
      },
      {
        name: 'goal',
        label: 'What it should end at',
        kind: 'choice',
        start: 'plunger',
        choices: [
          { value: 'plunger', text: 'the plunger within its travel' },
          { value: 'clearance', text: 'a clearance, solid follower' },
        ],
      },
      {
        name: 'travel',
        label: 'Plunger travel, mm',
        kind: 'number',
        start: '1.6',
        when: (typed) => typed.goal === 'plunger',
      },
      {
        name: 'fraction',
        label: 'Part of the travel',
        kind: 'number',
        start: '0.5',
        when: (typed) => typed.goal === 'plunger',
      },
      {
        name: 'clearance',
        label: 'Clearance wanted',
        kind: 'length',
        start: '0.30',
        when: (typed) => typed.goal === 'clearance',
      },
      {
        name: 'ratio',
        label: 'Rocker ratio',
        kind: 'number',
        start: '1.5',
        when: (typed) => typed.start === 'play' || typed.goal === 'clearance',
      },
    ],
    body: (read) => ({
      start: read.text('start'),
      playMm: read.mm('play'),
      turnsBack: read.number('back'),
      pitchMm: read.number('pitch'),
      screwRatio: read.number('screw'),
      rockerRatio: read.number('ratio'),
      goal: read.text('goal'),
      travelMm: read.number('travel'),
      fraction: read.number('fraction'),
      clearanceMm: read.mm('clearance'),
    }),
    say: (r) => ({
      sentence:
        Math.abs(r.changeMm) < 0.05
          ? 'This pushrod is right: it ends where it should.'
          : `A pushrod ${Math.abs(r.changeMm).toFixed(2)} mm ${r.changeMm > 0 ? 'longer' : 'shorter'}.`,
      lines: [
        'With the adjuster left where it is. The screw takes up the same where it has the room; lock it in the middle of its range.',
        'Fill and bleed a lifter before it is judged: one that is collapsed says nothing about the length.',
      ],
      working: [
        `pressed in now = ${r.pressedMm.toFixed(3)} mm at the pushrod (play counts below nothing)`,
        `wanted = ${r.goalMm.toFixed(3)} mm`,
        `change = ${r.goalMm.toFixed(3)} − ${r.pressedMm.toFixed(3)} = ${r.changeMm.toFixed(3)} mm`,
      ],
      source:
        'The lever: play at the valve is the rocker ratio times play at the pushrod. Middle of the plunger travel: common practice, no source.',
    }),
  }),
]
