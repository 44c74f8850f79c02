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
      to: { path: '^src/', pathNot: '(\\.test\\.ts|/test/.*|/main\\.tsx?|\\.worker\\.ts)$', reachable: false },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-stands-alone', '^src/core/', '^src/core/'),
    only('contracts-know-core', '^src/contracts/', '^src/(contracts|core)/'),
    only('pencils-know-core-and-contracts', '^src/pencils/', '^src/(pencils|core|contracts)/'),
    only('plan-knows-pencils-core-and-contracts', '^src/plan/', '^src/(plan|pencils|core|contracts)/'),
    only('order-knows-plans', '^src/order/', '^src/(order|plan|pencils|core|contracts)/'),
    only('formats-know-plans', '^src/formats/', '^src/(formats|plan|pencils|core|contracts)/'),
    only('web-never-server', '^src/web/', '^src/(web|formats|order|plan|pencils|core|contracts)/'),
    only(
      'server-never-web',
      '^src/server/',
      '^src/(server|demo|simulated-devices|formats|order|plan|pencils|core|contracts)/',
    ),
    only('demo-knows-plans', '^src/demo/', '^src/(demo|simulated-devices|order|plan|pencils|core|contracts)/'),
    only('devices-know-core', '^src/simulated-devices/', '^src/(simulated-devices|core|contracts)/'),
    only('fixtures-know-the-demo', '^src/fixtures/', '^src/(fixtures|demo|core|contracts)/'),
    {
      name: 'stages-apart',
      comment: 'What two stages need lies in desk or parts.',
      severity: 'error',
      from: { path: '^src/web/(sheet|tray|wheel|light|layers|bench|record)/' },
      to: { path: '^src/web/(sheet|tray|wheel|light|layers|bench|record)/', pathNot: '^src/web/$1/' },
    },
    {
      name: 'core-uses-no-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '(\\.test\\.ts|/test/.*)$' },
      comment: 'Packages that only compute are welcome.',
      to: { dependencyTypes: ['core', 'npm', 'npm-dev'], pathNot: '^node_modules/(ml-|d3-array|lru-cache|zod)' },
    },
    {
      name: 'zod-in-schemas',
      comment: 'In core only what is stored is told by schemas.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '(/schemas\\.ts|\\.test\\.ts)$' },
      to: { path: '^node_modules/zod' },
    },
    {
      name: 'schemas-as-types-alone',
      comment: 'What computes takes the types of schemas and never the schemas: workers do without zod.',
      severity: 'error',
      from: { path: '^src/', pathNot: '(/schemas\\.ts|^src/contracts/.*|\\.test\\.ts)$' },
      to: { path: '^src/core/[^/]+/schemas\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'through-the-door',
      comment: 'Another subject of core is entered by its index.ts.',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/([^/]+)/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/(index|schemas)\\.ts$'] },
    },
    {
      name: 'core-by-its-doors',
      comment: 'Outside core, a subject is entered by its index.ts.',
      severity: 'error',
      from: {
        path: '^src/(contracts|plan|order|pencils|formats|server|web|demo|simulated-devices|fixtures)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^src/core/', pathNot: '^src/core/[^/]+/(index|schemas)\\.ts$' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs'] },
  },
};
