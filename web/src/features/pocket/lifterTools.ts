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
