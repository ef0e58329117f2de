/** The core's folders from the lowest to the highest: a folder may use those before it, by their face, and none after it. */
const order = [
  'kernel',
  'units',
  'geometry',
  'materials',
  'project',
  'ground',
  'zones',
  'recipes',
  'tiles',
  'stack',
  'layers',
  'nest',
  'cutting',
  'templates',
  'takeoff',
  'drying',
  'choice',
  'days',
  'fit',
  'stores',
  'handout',
  'checks',
  'report',
  'planner',
  'sets',
];

const upward = order.slice(0, -1).map((folder, k) => ({
  name: `${folder}-stays-below`,
  comment: 'One direction: lower folders never use higher ones.',
  severity: 'error',
  from: { path: `^core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${order.slice(k + 1).join('|')}|[^/]+\\.ts$)` },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...upward,
    {
      name: 'faces-only',
      comment: 'Another folder of the core is entered by its index.ts.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/src/[^/]+/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'core-by-its-face',
      severity: 'error',
      from: { path: '^(formats|cli|web|server)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'browser-tests-by-its-face',
      severity: 'error',
      from: { path: '^e2e/' },
      to: { path: '^core/src/', pathNot: '^core/src/(index\\.ts$|testing/)' },
    },
    {
      name: 'core-is-pure',
      comment: 'No page, storage or network in the core: only the libraries named here.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: ['\\.test\\.ts$', '^core/src/testing/'] },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'npm-no-pkg', 'npm-unknown'],
        pathNot: '(^|/)node_modules/(zod|clipper2-ts|@stdlib/math-base-special-[a-z0-9]+)/',
      },
    },
    {
      name: 'web-one-way',
      comment: 'ui < instruments < views < app; ui is a leaf; the store and the worker know no drawings.',
      severity: 'error',
      from: { path: '^web/src/ui/' },
      to: { path: '^web/src/(store|worker|instruments|views|app)/' },
    },
    {
      name: 'instruments-below-views',
      severity: 'error',
      from: { path: '^web/src/instruments/' },
      to: { path: '^web/src/(views|app)/' },
    },
    {
      name: 'store-knows-no-drawings',
      severity: 'error',
      from: { path: '^web/src/(store|worker)/' },
      to: { path: '^web/src/(ui|instruments|views|app)/' },
    },
    {
      name: 'formats-know-no-screen',
      severity: 'error',
      from: { path: '^formats/' },
      to: { path: '^(cli|web|server|e2e)/' },
    },
    {
      name: 'formats-by-its-face',
      comment:
        'The PDF writer is a face of its own: its library is large, and is loaded only for it. So are limits and what becomes of layers: they bring no reader with them.',
      severity: 'error',
      from: { path: '^(cli|web|server|e2e)/' },
      to: { path: '^formats/src/', pathNot: '^formats/src/(index|pdf|limits|mapping)\\.ts$' },
    },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.css$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|test-results)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
