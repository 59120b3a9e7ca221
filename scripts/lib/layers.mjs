/** Which imports the architecture forbids, as rules of dependency-cruiser; `docs/architecture.md` says why. */

/** Rooms of core, lowest first: each may use those before it, and none after it. `testing` is for tests. */
export const CORE_ROOMS = [
  'basis',
  'quantity',
  'assumptions',
  'model',
  'kinds',
  'events',
  'joints',
  'reference',
  'sheet',
  'weldlist',
  'catalogue',
  'library',
  'calculation',
  'trade',
  'supply',
  'duty',
  'measurement',
  'capability',
  'changeover',
  'demand',
  'criteria',
  'capacity',
  'power',
  'assembly',
  'fit',
  'dialin',
  'record',
  'card',
  'stores',
  'quote',
  'board',
  'purchase',
  'plan',
  'words',
  'decision',
]

/** What checks and measures may look anywhere below it. */
const CHECKS = '\\.(test|bench|spec)\\.ts$|/testing(\\.ts|/)|/prepareTests\\.ts$'

const rule = (name, from, to) => ({ name, severity: 'error', from, to })
const anyOf = (names) => `(${names.join('|')})`

const roomRule = (room, index) =>
  rule(
    `core: ${room} uses only the rooms below it`,
    { path: `^core/src/${room}/`, pathNot: CHECKS },
    { path: `^core/src/(${anyOf([...CORE_ROOMS.slice(index + 1), 'testing'])}/|index\\.ts$)` },
  )

export const LAYERS = [
  ...CORE_ROOMS.map(roomRule),
  rule(
    'core: every folder is a room',
    { path: '^core/src/', pathNot: CHECKS },
    { path: '^core/src/[^/]+/', pathNot: `^core/src/${anyOf([...CORE_ROOMS, 'testing'])}/` },
  ),
  rule(
    'core: depends on itself, Zod and d3-random alone',
    { path: '^core/src/', pathNot: CHECKS },
    // Types cost nothing: whoever has the solver hands it in.
    {
      pathNot: '^core/src/|(^|/)node_modules/(zod|d3-random|@types/d3-random)/',
      dependencyTypesNot: ['type-only'],
    },
  ),
  rule(
    'core: its tests reach no further than core',
    { path: '^core/' },
    { path: '^(server|web|e2e|scripts)/' },
  ),
  rule('server: never the page', { path: '^server/' }, { path: '^(web|e2e)/' }),
  rule('server: never the scripts', { path: '^server/src/', pathNot: CHECKS }, { path: '^scripts/' }),
  rule(
    'stand-ins: outside devices know nothing of the project',
    { path: '^stand-ins/' },
    { path: '^(core|server|web|e2e|scripts)/' },
  ),
  rule('web: never the stand-ins', { path: '^web/' }, { path: '^stand-ins/' }),
  rule('web: never the server', { path: '^web/' }, { path: '^(server|e2e|scripts)/' }),
  rule(
    'web: nothing of Node',
    { path: '^web/(src|offline)/', pathNot: CHECKS },
    { dependencyTypes: ['core'] },
  ),
  rule(
    'core: known to others by its index alone',
    { path: '^(server|web|e2e)/', pathNot: CHECKS },
    { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
  ),
  rule(
    'web: the shop knows no view',
    { path: '^web/src/(shop|stores|engine|api)/', pathNot: CHECKS },
    { path: '^web/src/(views|components|charts)/' },
  ),
  rule(
    'no import in circles',
    { pathNot: CHECKS },
    { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
  ),
]
