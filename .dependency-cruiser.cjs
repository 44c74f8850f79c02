/** The direction of dependency between the layers, and no circles. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/', pathNot: allowed },
});

/** Where running code begins. */
const ENTRIES = [
  '^src/web/main\\.tsx$',
  '^src/web/workers/[^/]+\\.worker\\.ts$',
  '^src/server/main\\.ts$',
  '^(bench|e2e|scripts)/',
];

module.exports = {
  forbidden: [
    {
      name: 'no-orphans',
      comment: 'What nothing that runs leads to, but tests at most, is dead. Workers are entries of their own.',
      severity: 'error',
      from: { path: ENTRIES },
      to: { path: '^src/', pathNot: '(\\.test\\.ts|/test/.*|/main\\.tsx?)$', reachable: false },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-stands-alone', '^src/core/', '^src/core/'),
    only('contracts-know-core', '^src/contracts/', '^src/(contracts|core)/'),
    only('plan-knows-core-and-contracts', '^src/plan/', '^src/(plan|core|contracts)/'),
    only('planning-knows-plan-core-and-contracts', '^src/planning/', '^src/(planning|plan|core|contracts)/'),
    only('web-knows-plans-core-and-contracts', '^src/web/', '^src/(web|planning|plan|core|contracts)/'),
    only('server-never-web', '^src/server/', '^src/(server|planning|plan|core|contracts|demo)/'),
    only('demo-knows-plans-core-and-contracts', '^src/demo/', '^src/(demo|planning|plan|core|contracts)/'),
    {
      name: 'core-uses-no-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '(\\.test\\.ts|/test/.*)$' },
      comment: 'Packages that only compute are welcome.',
      to: { dependencyTypes: ['core', 'npm', 'npm-dev'], pathNot: '^node_modules/ml-' },
    },
    {
      name: 'through-the-door',
      comment: 'Another subject of core is entered by its index.ts.',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/([^/]+)/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'core-by-its-doors',
      comment: 'Outside core, a subject is entered by its index.ts.',
      severity: 'error',
      from: { path: '^src/(contracts|plan|planning|server|web|demo)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs'] },
  },
};
