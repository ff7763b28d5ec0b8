/** The rooms of core, lowest first. A room imports itself and the rooms before it, never one after it. */
const rooms = [
  'units',
  'statistics',
  'geometry',
  'rubber',
  'drive',
  'measuring',
  'catalogue',
  'sizing',
  'odds',
  'population',
  'speed',
  'drafting',
  'proving',
  'diagnosis',
  'strip',
  'planning',
  'ticket',
  'finding',
  'handback',
  'faraway',
  'exchange',
];

const downwards = rooms.slice(0, -1).map((room, index) => ({
  name: `core-${room}-imports-downwards`,
  severity: 'error',
  comment: `core/${room} may not import a room above it (order: ${rooms.join(' → ')}).`,
  from: { path: `^core/src/${room}/` },
  to: { path: `^core/src/(${rooms.slice(index + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...downwards,
    {
      name: 'core-through-the-door',
      severity: 'error',
      comment: 'A room of core is entered by its index only.',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/([^/]+)/(?!index\\.ts$)', pathNot: '^core/src/$1/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'core uses nothing of the interface, the server or Node.',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|server)/|react|express|localforage|redux', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'one-seam-for-storage',
      severity: 'error',
      comment: 'localForage is used in one file, so that it can be exchanged in one file.',
      from: { path: '^app/src/', pathNot: '^app/src/keeping/storage\\.ts$' },
      to: { path: 'node_modules/localforage' },
    },
    {
      name: 'app-stays-out-of-server',
      severity: 'error',
      from: { path: '^app/src/' },
      to: { path: '^server/' },
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
