/** Imports point only towards core: web → contract → core; server → contract, core; standins → core. */
const only = (from, allowed) => ({
  name: `${from}-reaches-only-${allowed.join('-') || 'itself'}`,
  severity: 'error',
  from: { path: `^${from}/src` },
  to: {
    path: '^(core|contract|standins|server|web|e2e|bench)/',
    pathNot: `^(${[from, ...allowed].join('|')})/`,
  },
});

module.exports = {
  forbidden: [
    only('core', []),
    only('contract', ['core']),
    only('standins', ['core']),
    only('server', ['contract', 'core']),
    only('web', ['contract', 'core']),
    {
      name: 'core-is-free-of-the-outside',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$|/testing/' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'folders-of-core-are-entered-by-their-index',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/([^/]+)/.+', pathNot: '^core/src/(testing/|$1/|[^/]+/index\\.ts$)' },
    },
    {
      name: 'nothing-imports-the-roof-of-the-server',
      severity: 'error',
      from: {
        path: '^server/src/',
        pathNot: '^server/src/(application/|main\\.ts$|index\\.ts$|testing/)|\\.test\\.ts$',
      },
      to: { path: '^server/src/application/' },
    },
    {
      name: 'pieces-of-interface-know-no-review',
      severity: 'error',
      from: { path: '^web/src/parts/' },
      to: { path: '^web/src/(review|stages|app)/' },
    },
    {
      name: 'what-is-known-of-a-review-knows-no-screen',
      severity: 'error',
      from: { path: '^web/src/review/' },
      to: { path: '^web/src/(stages|app)/' },
    },
    {
      name: 'stages-know-neither-each-other-nor-the-shell',
      severity: 'error',
      from: { path: '^web/src/stages/([^/]+)/' },
      to: { path: '^web/src/(stages|app)/', pathNot: '^web/src/stages/$1/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { conditionNames: ['source', 'import'], exportsFields: ['exports'] },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'dist/' },
  },
};
