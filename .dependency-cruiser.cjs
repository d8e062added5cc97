/** Imports point one way; any other arrow fails the check. */
const room = (name) => `^src/${name}/`;
const allow = (from, to) => ({
  name: `${from} imports only ${to.join(', ')}`,
  severity: 'error',
  from: { path: room(from), pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: to.map(room) },
});

module.exports = {
  forbidden: [
    allow('core', ['core']),
    allow('formats', ['formats', 'core']),
    allow('simulators', ['simulators', 'core']),
    allow('contract', ['contract', 'core']),
    allow('demo', ['demo', 'core', 'simulators', 'contract']),
    allow('server', ['server', 'contract', 'core', 'formats', 'simulators', 'demo']),
    allow('ui', ['ui', 'core']),
    allow('views', ['views', 'ui', 'core', 'contract', 'workers']),
    allow('workers', ['workers', 'core', 'formats']),
    {
      name: 'no cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'tests stay out of the product',
      severity: 'error',
      from: { path: '^src/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '(\\.test\\.tsx?$|^tests/)' },
    },
    {
      name: 'the core knows no database and no page',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|kysely|pg|astro|pino|better-auth)/' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'] },
  },
};
