/* The order of core's wings, and what the rooms of a wing may use of one another, stand in core/wings.cjs. */
const wings = require('./core/wings.cjs');

const places = wings.flatMap(({ wing, rooms }, at) =>
  Object.entries(rooms).map(([room, { uses = [] }]) => ({
    place: `${wing}/${room}`,
    before: wings.slice(0, at).map((one) => one.wing),
    uses: uses.map((one) => `${wing}/${one}`),
  })),
);
const roomRules = places.map(({ place, before, uses }) => ({
  name: `core-${place.replace('/', '-')}`,
  severity: 'error',
  comment: `core/${place} may use ${[...before, ...uses].join(', ') || 'no other room'}.`,
  from: { path: `^core/src/${place}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^core/src/', pathNot: `^core/src/(${[...before, place, ...uses].join('|')})/` },
}));
/** A permission that nobody uses goes. */
const permissionRules = places.flatMap(({ place, uses }) =>
  uses.map((used) => ({
    name: `core-${place.replace('/', '-')}-uses-${used.split('/')[1]}`,
    severity: 'error',
    comment: `core/wings.cjs lets ${place} use ${used}, and it does not.`,
    module: { path: `^core/src/${used}/index\\.ts$`, numberOfDependentsLessThan: 1 },
    from: { path: `^core/src/${place}/`, pathNot: '\\.test\\.ts$' },
  })),
);

/** The app's floors, the highest first. Each imports those below it. */
const floors = ['shell', 'stations', 'pages', 'parts', 'state', 'workers'];
const floorRules = floors.map((floor, index) => ({
  name: `app-${floor}-imports-downwards`,
  severity: 'error',
  comment: `app/${floor} imports only what lies below it: ${floors.slice(index + 1).join(', ')}.`,
  from: { path: `^app/src/${floor}/` },
  to: { path: `^app/src/(${[...floors.slice(0, index), 'main'].join('|')})(/|\\.)` },
}));

module.exports = {
  forbidden: [
    ...roomRules,
    ...permissionRules,
    {
      name: 'core-room-unknown',
      severity: 'error',
      comment: 'A new room of core says in core/wings.cjs which wing it is in and what it may use there.',
      from: { path: '^core/src/.+/', pathNot: `^core/src/(${places.map(({ place }) => place).join('|')})/` },
      to: {},
    },
    {
      name: 'core-through-the-door',
      severity: 'error',
      comment: 'A room of core is entered by its index only.',
      from: { path: '^core/src/([^/]+/[^/]+)/' },
      to: { path: '^core/src/[^/]+/[^/]+/(?!index\\.ts$)', pathNot: '^core/src/$1/' },
    },
    {
      name: 'core-stations-apart',
      severity: 'error',
      comment: 'A station of core knows the drives, which Measure and Size share, and no other station.',
      from: { path: '^core/src/record/stations/([^/]+)/' },
      to: { path: '^core/src/record/stations/([^/]+)/', pathNot: '^core/src/record/stations/($1|drives)/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'core uses nothing of the lab, the interface, the server or Node.',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(lab|app|server)/|react|express|localforage|redux', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^(core|lab)/src/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    ...floorRules,
    {
      name: 'app-stations-apart',
      severity: 'error',
      comment: 'A station of the app knows no other station; what two share is a part.',
      from: { path: '^app/src/stations/([^/]+)/' },
      to: { path: '^app/src/stations/([^/]+)/', pathNot: '^app/src/stations/$1/' },
    },
    {
      name: 'app-pages-apart',
      severity: 'error',
      comment: 'A page knows no other page and no station.',
      from: { path: '^app/src/pages/([^/]+)/' },
      to: { path: '^app/src/(stations|pages/[^/]+)/', pathNot: '^app/src/pages/$1/' },
    },
    {
      name: 'one-seam-for-storage',
      severity: 'error',
      comment: 'localForage is used in one file, so that it can be exchanged in one file.',
      from: { path: '^app/src/', pathNot: 'persistence/storage(\\.test)?\\.ts$' },
      to: { path: 'node_modules/localforage' },
    },
    {
      name: 'app-stays-out-of-server',
      severity: 'error',
      from: { path: '^app/src/' },
      to: { path: '^server/' },
    },
    {
      name: 'lab-knows-core-alone',
      severity: 'error',
      comment: 'The lab judges core from outside: by the doors of its rooms.',
      from: { path: '^lab/src/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|server)/|^core/src/[^/]+/[^/]+/(?!index\\.ts$)' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
