/**
 * The arrows: a room of the core may import only rooms named above it, and only by their face. Storeys stand in the
 * same order.
 */
const rooms = [
  'foundations/units',
  'foundations/vocabulary',
  'foundations/sources',
  'foundations/finding',
  'things/gear',
  'things/tuning',
  'things/fit',
  'things/friction',
  'things/geometry',
  'things/connector',
  'rigs/rig',
  'rigs/catch',
  'rigs/elements',
  'rigs/pairs',
  'answers/redundancy',
  'answers/procedures',
  'answers/check',
  'answers/assess',
  'answers/planning',
  'records/log',
  'records/files',
  'teaching/trainer',
  'samples',
];

/** Tests may look anywhere. */
const pathNot = '\\.test(-help)?\\.ts$';
const upward = rooms.slice(0, -1).map((room, i) => ({
  name: `core-${room.replace('/', '-')}-looks-up-only`,
  severity: 'error',
  comment: `core/${room} may import only the rooms named before it.`,
  from: { path: `^core/${room}/`, pathNot },
  to: { path: `^core/(${rooms.slice(i + 1).join('|')})/` },
}));
/** The folder of a room. */
const ROOM = '^core/([a-z]+/[a-z]+|samples)/';

module.exports = {
  forbidden: [
    ...upward,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-unknown-room',
      severity: 'error',
      comment: 'A new room must be given its place in the order.',
      from: { path: `^core/(?!(${rooms.join('|')})/)` },
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
      from: { path: ROOM },
      to: { path: ROOM, pathNot: ['^core/$1/', `${ROOM}index\\.ts$`, '\\.test-help\\.ts$'] },
    },
    {
      name: 'one-face-from-outside',
      severity: 'error',
      from: { path: '^(web|server|cli)' },
      to: { path: ROOM, pathNot: `${ROOM}index\\.ts$` },
    },
    {
      name: 'no-own-barrel',
      severity: 'error',
      comment: 'Siblings never import their own barrel.',
      from: { path: ROOM, pathNot },
      to: { path: '^core/$1/index\\.ts$' },
    },
    { name: 'core-knows-nobody', severity: 'error', from: { path: '^core' }, to: { path: '^(web|server|cli|e2e)/' } },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment:
        'The core may use Zod from outside, what finds keys that stand twice in a text (decision 39), and what compares two things whole.',
      from: { path: '^core', pathNot: '\\.test(-help)?\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/(zod|jsonc-parser|fast-deep-equal)/' },
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
