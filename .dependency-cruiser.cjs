/** The arrows: a room of the core may import only rooms named above it, and only by their face. */
const rooms = [
  'units',
  'vocabulary',
  'sources',
  'finding',
  'gear',
  'bench',
  'fit',
  'friction',
  'geometry',
  'connector',
  'rig',
  'catch',
  'parts',
  'between',
  'hold',
  'sequence',
  'check',
  'log',
  'hands',
  'files',
  'assess',
];

const upward = rooms.map((room, i) => ({
  name: `core-${room}-looks-up-only`,
  severity: 'error',
  comment: `core/${room} may import only the rooms named before it.`,
  from: { path: `^core/${room}/`, pathNot: '\\.test(-help)?\\.ts$' },
  to: { path: `^core/(${[...rooms.slice(i + 1), 'choose', 'samples'].join('|')})` },
}));

module.exports = {
  forbidden: [
    ...upward,
    {
      name: 'assess-knows-no-choose',
      severity: 'error',
      from: { path: '^core/assess/', pathNot: '\\.test(-help)?\\.ts$' },
      to: { path: '^core/(choose|samples)' },
    },
    {
      name: 'samples-are-on-top',
      severity: 'error',
      comment: 'Only tests and what is outside the core may use the samples.',
      from: { path: '^core/(?!samples/)', pathNot: '\\.test(-help)?\\.ts$' },
      to: { path: '^core/samples/' },
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-unknown-room',
      severity: 'error',
      comment: 'A new room must be given its place in the order.',
      from: { path: `^core/(?!(${rooms.join('|')}|choose|samples)/|assess[.-])` },
      to: {},
    },
    {
      name: 'help-for-tests-in-tests-only',
      severity: 'error',
      from: { pathNot: '\\.test(-help)?\\.tsx?$' },
      to: { path: '\\.test-help\\.ts$' },
    },
    {
      name: 'one-face-inside-core',
      severity: 'error',
      comment: 'A room is entered by its index.ts only.',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/[^/]+/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$', '\\.test-help\\.ts$'] },
    },
    {
      name: 'one-face-from-outside',
      severity: 'error',
      from: { path: '^(web|server|cli)' },
      to: { path: '^core/[^/]+/', pathNot: '^core/[^/]+/index\\.ts$' },
    },
    {
      name: 'no-own-barrel',
      severity: 'error',
      comment: 'Siblings never import their own barrel.',
      from: { path: '^core/([^/]+)/', pathNot: '\\.test(-help)?\\.ts$' },
      to: { path: '^core/$1/index\\.ts$' },
    },
    { name: 'core-knows-nobody', severity: 'error', from: { path: '^core' }, to: { path: '^(web|server|cli|e2e)/' } },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'The core may use Zod from outside, and what finds keys that stand twice in a text (decision 39).',
      from: { path: '^core', pathNot: '\\.test(-help)?\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/(zod|jsonc-parser)/' },
    },
    {
      name: 'web-server-cli-apart',
      severity: 'error',
      from: { path: '^(web|server|cli)/' },
      to: { path: '^(web|server|cli)/', pathNot: '^$1/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
      conditionNames: ['import', 'types', 'default'],
    },
  },
};
