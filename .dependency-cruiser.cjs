/** Arrows point one way: web, server, demo -> contract -> core. */
const outside = (from, allowed) => ({
  name: `${from}-points-one-way`,
  severity: 'error',
  comment: `${from} may use only ${allowed.join(', ') || 'itself'}.`,
  from: { path: `^${from}/src`, pathNot: '\\.spec\\.ts$|/testing' },
  to: { path: '^(core|contract|server|web|demo|gauge|words|e2e)/', pathNot: `^(${[from, ...allowed].join('|')})/` },
});

/** Rooms of core, each resting on those before it: words and figures, the book, what was measured, what is made, the whole job; the bench's sums. */
const CORE = ['terms', 'book', 'evidence', 'making', 'repair', 'sums'];

module.exports = {
  forbidden: [
    outside('core', []),
    outside('contract', ['core']),
    outside('server', ['contract', 'core']),
    outside('web', ['contract', 'core']),
    outside('demo', ['contract', 'core']),
    outside('gauge', ['core']),
    outside('words', []),
    ...CORE.slice(0, -1).map((room, i) => ({
      name: `core-${room}-rests-on-what-stands-before-it`,
      severity: 'error',
      comment: `${room} may use only ${CORE.slice(0, i).join(', ') || 'itself'}.`,
      from: { path: `^core/src/${room}/`, pathNot: '\\.(spec|bench)\\.ts$|/testing' },
      to: { path: `^core/src/(${CORE.slice(i + 1).join('|')})/` },
    })),
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No Node API and no package in core.',
      from: { path: '^core/src', pathNot: '\\.spec\\.ts$' },
      to: { dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-peer', 'npm-optional'] },
    },
    {
      name: 'no-test-code-in-production',
      severity: 'error',
      from: { pathNot: '\\.(spec|bench)\\.ts$|/testing' },
      to: { path: '/testing' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      comment: 'Two folders that need each other are one idea.',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'no-circles-of-types-in-core',
      severity: 'error',
      comment: 'Two files that name each other, if only as types, are one idea.',
      from: { path: '^core/src' },
      to: { circular: true },
    },
    { name: 'nothing-missing', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.sql$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: 'specify',
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.js', '.mjs', '.json', '.sql'],
    },
    exclude: { path: '\\.worker-factory' },
  },
};
