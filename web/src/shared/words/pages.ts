/** What a page is for, in three lines: behind `?` on the page, in Help, and found by Find. */
export interface PageHelp {
  /** The names of its routes; the first is where Find goes. */
  routes: string[]
  title: string
  lines: [string, string, string]
}

export const pages: PageHelp[] = [
  {
    routes: ['yard'],
    title: 'Yard',
    lines: [
      'All engines, the most urgent first; the mark says why, the button at the end of a row what to do next.',
      'The drawn line runs from today to the first limit: forecast, manual’s date, planned date.',
      'Engines of which nothing is to be said are folded at the foot.',
    ],
  },
  {
    routes: ['engine'],
    title: 'Engine',
    lines: [
      'One engine: what to do now, each valve with its latest figure, and what was done before.',
      'Press a valve for its history; press a visit for its record.',
      'What is done seldom (meter, label, own figures, another engine) is under More.',
    ],
  },
  {
    routes: ['visits', 'open'],
    title: 'At the engine',
    lines: [
      'What is open, by whom and where it stopped; choose your name and see your jobs of today.',
      'Open an engine here before you touch it: make safe, cold, find the stop, measure, set, close up, sign.',
      'It works without the server; what waits to be sent is named at the top.',
    ],
  },
  {
    routes: ['visit', 'crank'],
    title: 'The bench',
    lines: [
      'One valve at a time. Tap the blade that drags; between two blades where the one goes and the next does not.',
      'What is clear keeps itself after two seconds; Take back undoes it.',
      'Measure as found before any adjuster is touched, and again after it is locked.',
    ],
  },
  {
    routes: ['plan', 'plan-limits', 'job-card'],
    title: 'Plan',
    lines: [
      'Who opens which engine on which day, eight weeks or a quarter ahead.',
      'Drag a job to move it; a pin holds it where you put it when the plan is worked out again.',
      'Press a job for why it stands there; what has no day is listed with the reason.',
    ],
  },
  {
    routes: ['due'],
    title: 'Due list',
    lines: [
      'Which engines fall due in which week, by the manual, by drift or by what was found.',
      'Try a later date to see what it would risk before anybody agrees to it.',
      'Print it, or take it as CSV.',
    ],
  },
  {
    routes: ['shims', 'shim-bench', 'shim-job'],
    title: 'Shims',
    lines: [
      'What is in the drawers, what the next visits will need, what to order.',
      'The bench shares the shims of one head out so that the fewest are bought and none leaves a valve tight.',
      'A tray card keeps each shim at its own valve.',
    ],
  },
  {
    routes: ['drift', 'engine-drift'],
    title: 'Drift',
    lines: [
      'How each clearance moves with engine hours, and how sure that is.',
      'The fastest stand first; a visit or a valve unlike the rest is named with the reason.',
      'Nothing is claimed before there are two visits.',
    ],
  },
  {
    routes: ['book', 'new-type'],
    title: 'Book',
    lines: [
      'Engine types as their manuals give them: clearances with source and date, firing order, stops.',
      'A new figure is a new revision; records keep the one they were judged by.',
      'What is not known is marked until somebody has looked it up.',
    ],
  },
  {
    routes: ['hours'],
    title: 'Hours',
    lines: [
      'Read the meters on a round, bring in a file, or let a feed send them.',
      'A figure that does not fit waits for your answer; nothing is thrown away.',
      'A replaced meter goes on counting where the old one stopped.',
    ],
  },
  {
    routes: ['pocket'],
    title: 'Pocket',
    lines: [
      'One sum at a time, without a record.',
      'The answer is a sentence and a drawing; working and source are one tap away.',
      'It works without the server.',
    ],
  },
  {
    routes: ['year'],
    title: 'The year',
    lines: [
      'What was opened, found and learned, and what it took in hours and parts.',
      'Beside it what the manual’s interval alone would have asked.',
      'By engine, place or kind; print it or take it as CSV.',
    ],
  },
  {
    routes: ['logbook'],
    title: 'Import and export',
    lines: [
      'Old records come in from a sheet; every row is shown as understood before it is kept.',
      'What is refused says which row, which column and what would be right.',
      'All records go out as CSV.',
    ],
  },
  {
    routes: ['this-tablet', 'install'],
    title: 'This tablet',
    lines: [
      'What this tablet has downloaded for work without network, and what waits to be sent.',
      'Download an engine before you go where there is no network.',
      'Forgetting the tablet is refused while anything waits.',
    ],
  },
  {
    routes: ['record', 'check-record'],
    title: 'Record',
    lines: [
      'A signed visit: who, when, at how many hours, found and left. It is never written over.',
      'A correction keeps the old figure beside the new one.',
      'Print it, countersign it, or check by its fingerprint that it is whole.',
    ],
  },
  {
    routes: ['settings', 'hand'],
    title: 'Settings',
    lines: [
      'The fleet’s name, limits and tolerances; people, sites and measuring tools.',
      'A person who leaves is archived: records name them for ever.',
      'A hand’s page shows how one person measures against the others.',
    ],
  },
  {
    routes: ['slip'],
    title: 'Report a problem',
    lines: [
      'For whoever runs the machine: what was heard or felt, and when.',
      'It waits in the yard until somebody answers it.',
      'A report opens no engine by itself.',
    ],
  },
  {
    routes: ['help'],
    title: 'Help',
    lines: [
      'What each page is for, the way of the work, and the words.',
      'The search looks through all of it.',
      'Behind ? every page shows its own three lines and its keys.',
    ],
  },
]

const aboutSomething = ['engine', 'visit', 'record', 'slip']

/** Whether a page can be gone to by itself; one that is about an engine or a visit is reached through it. */
export const standsAlone = (page: PageHelp) => !aboutSomething.includes(page.routes[0]!)

/** The lines of a route; none where a page has none of its own. */
export const pageOf = (route: string) => pages.find((p) => p.routes.includes(route))
