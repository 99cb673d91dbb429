/** The trade's words as this program uses them: one word for one thing. */
export const glossary: { term: string; means: string }[] = [
  { term: 'visit', means: 'One opening of one engine: an overhead, a spot check, a receiving check or a build.' },
  { term: 'overhead', means: 'The visit at which every point is measured; it starts the book’s interval anew.' },
  {
    term: 'record',
    means: 'A signed visit: who, when, at how many hours, by which book, found and left. It is never written over.',
  },
  {
    term: 'point',
    means:
      'One place with one clearance or preload: 4E is the exhaust of cylinder 4, 2I the intake of 2, J an injector, B an engine brake.',
  },
  { term: 'as found', means: 'The first figure taken before any adjuster is touched.' },
  { term: 'as left', means: 'The figure measured again after setting and locking.' },
  { term: 'left alone', means: 'In its window: the one reading serves as found and as left.' },
  { term: 'left as found', means: 'Out of its window or undecided, and left so on purpose, with the reason.' },
  { term: 'window', means: 'From the tightest to the loosest clearance the book allows.' },
  { term: 'set figure', means: 'What a setting aims at; the middle of the window where the book names none.' },
  { term: 'tight', means: 'Below the window: once hot the valve may not seat, and burns.' },
  { term: 'loose', means: 'Above the window: noise, wear, less lift.' },
  { term: 'borderline', means: 'What was measured cannot say; the next blade can, or it is yours to decide.' },
  { term: 'drag', means: 'A blade that slides with a slight pull: that blade is the gap.' },
  {
    term: 'on compression',
    means: 'Both valves closed, piston at top: the lobes are away and the gap can be measured.',
  },
  {
    term: 'rocking',
    means: 'On overlap: exhaust just closing, intake just opening. Its running mate is on compression.',
  },
  { term: 'stop', means: 'A position of the crank at which some points may be measured.' },
  {
    term: 'ramp guard',
    means: 'Crank degrees kept clear before and after a lift, so that nothing is measured on a ramp.',
  },
  { term: 'drift', means: 'How a clearance moves with engine hours, with how sure that is.' },
  {
    term: 'risk',
    means: 'The chance that some valve of an engine stands out of its window; at the fleet’s own, drift decides.',
  },
  {
    term: 'recession',
    means:
      'How far a valve has come up into its seat since build: the gap closes, and shims grow thinner or screws come out.',
  },
  {
    term: 'tray card',
    means: 'A printed sheet under the shims of one job, one place a point, so that none goes into another’s place.',
  },
  {
    term: 'lapping',
    means: 'Making a shim thinner by hundredths. Its face is hardened: ground through, it wears at once.',
  },
  { term: 'aim-off', means: 'Leaving a valve off the set figure, inside the window, so that it lasts longer.' },
  { term: 'receiving check', means: 'Measuring somebody else’s adjustment before relying on it.' },
]
