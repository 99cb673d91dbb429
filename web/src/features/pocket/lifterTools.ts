import { plural } from '../../shared/words/counts'
import type { Schemas } from '../../api/client'
import { screw } from './settingTools'
import { tool } from './tool'

/** Hydraulic lifters and pushrods. */
export const lifterTools = [
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
  tool<Schemas['MidLiftResponse']>({
    key: 'mid-lift',
    name: 'Square the rocker',
    call: 'mid-lift',
    asks: [
      {
        name: 'unit',
        label: 'In',
        kind: 'choice',
        start: 'mm',
        choices: [
          { value: 'mm', text: 'millimetres, pitch of the thread' },
          { value: 'in', text: 'inches, threads to the inch' },
        ],
      },
      { name: 'liftMm', label: 'Valve lift, mm', kind: 'number', start: '15.14', when: (typed) => typed.unit !== 'in' },
      { name: 'liftIn', label: 'Valve lift, in', kind: 'number', start: '0.596', when: (typed) => typed.unit === 'in' },
      {
        name: 'pitch',
        label: 'Thread of the stud or screw, pitch in mm',
        kind: 'number',
        start: '1.25',
        when: (typed) => typed.unit !== 'in',
      },
      {
        name: 'threads',
        label: 'Thread of the stud, threads to the inch',
        kind: 'number',
        start: '24',
        when: (typed) => typed.unit === 'in',
      },
      {
        name: 'rod',
        label: 'The adjustable rod, once it is right',
        kind: 'number',
        start: '',
        hint: 'In the unit chosen; empty until it is measured.',
      },
      { name: 'series', label: 'Lengths that are made', kind: 'text', start: '', hint: 'One after another.' },
    ],
    body: (read) => {
      const inches = read.text('unit') === 'in'
      const rod = read.number('rod')
      const series = read.numbers('series')
      return {
        ...(inches
          ? { valveLiftIn: read.number('liftIn'), threadsPerInch: read.number('threads') }
          : { valveLiftMm: read.number('liftMm'), pitchMm: read.number('pitch') }),
        ...(rod != null && series.length
          ? inches
            ? { trialRodIn: rod, seriesIn: series }
            : { trialRodMm: rod, seriesMm: series }
          : {}),
      }
    },
    say: (r, read) => {
      const inches = read.text('unit') === 'in'
      const long = (mm: number, inch: number) => (inches ? `${inch.toFixed(3)} in` : `${mm.toFixed(2)} mm`)
      return {
        sentence:
          r.orderMm != null && r.orderIn != null
            ? `Order ${long(r.orderMm, r.orderIn)}.`
            : `Half the lift is ${long(r.lengthMm, r.lengthIn)}: the valve shut, no pushrod in.`,
        lines: [
          ...(r.missMm != null
            ? [
                Math.abs(r.missMm) < 0.005
                  ? 'It is as long as the rod.'
                  : `It is ${Math.abs(r.missMm).toFixed(2)} mm ${r.missMm > 0 ? 'longer' : 'shorter'} than the rod.`,
              ]
            : []),
          ...r.steps.map((step, i) => `${i + 1}. ${step}`),
        ],
        working: [
          inches
            ? `lift ÷ 2 = ${read.text('liftIn')} ÷ 2 = ${r.lengthIn.toFixed(4)} in; × ${read.text('threads')} threads to the inch = ${r.turns.toFixed(4)} turns`
            : `lift ÷ 2 = ${read.text('liftMm')} ÷ 2 = ${r.lengthMm.toFixed(3)} mm; ÷ ${read.text('pitch')} mm = ${r.turns.toFixed(4)} turns`,
        ],
        source:
          'Rocker square to the stem at half lift: common practice, no source. 0.596 in of lift at 24 threads to the inch is 7.15 turns of thread, counted with no pushrod in.',
      }
    },
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
