/** One-way boundaries between the rooms of src/. See docs/decisions/0001-layout.md. */
const from = (name, path, notTo, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path },
  to: { path: notTo },
});

module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      severity: 'error',
      comment: 'The core computes; it knows nothing outside itself, packages and Node included.',
      from: { path: '^src/core', pathNot: ['\\.test\\.ts$', '^src/core/testing'] },
      to: { pathNot: '^src/core' },
    },
    {
      name: 'test-tools-for-tests',
      severity: 'error',
      comment: 'What makes up cases for tests never ships.',
      from: { path: '^src', pathNot: ['\\.test\\.tsx?$', '/testing/'] },
      to: { path: ['^src/core/testing', '^node_modules/fast-check'] },
    },
    {
      name: 'test-tools-stand-on-the-core',
      severity: 'error',
      comment: 'Test tools of the core use the core and the maker of random cases.',
      from: { path: '^src/core/testing' },
      to: { pathNot: ['^src/core', '^node_modules/fast-check'] },
    },
    {
      name: 'core-tests-use-core-only',
      severity: 'error',
      comment: 'Core tests may use test tools, the document and the demo data, but no interface.',
      from: { path: '^src/core.*\\.test\\.ts$' },
      to: { path: ['^src/(ui|app|db|workers)', '^node_modules/(next|react)'] },
    },
    from(
      'forces-apart',
      '^src/core/forces/(?!index)',
      '^src/core/(simulation|plan|monitors|debrief|holding)',
      'Forces do not know who composes them.',
    ),
    from(
      'reliability-on-top',
      '^src/core/(?!reliability|testing)(?!.*\\.test\\.ts$)',
      '^src/core/reliability',
      'Shares are made of runs; nothing that makes a run knows of them.',
    ),
    from(
      'draws-vary-plans',
      '^src/core/(simulation|plan|monitors|forces|holding|boat|water|air|locks)/(?!.*\\.test\\.ts$)',
      '^src/core/uncertainty',
      'What is played does not know that it was drawn.',
    ),
    from(
      'document-down',
      '^src/document',
      [
        '^src/(io|db|services|workers|ui|app)',
        '^node_modules/(next|react|drizzle-orm|better-sqlite3)',
      ],
      'Records know only the core.',
    ),
    from(
      'document-plans-nothing',
      '^src/document/(?!.*\\.test\\.ts$)',
      '^src/planner',
      'Records are kept; what lays plans out and tries them is above.',
    ),
    from(
      'planner-down',
      '^src/planner',
      [
        '^src/(io|db|services|workers|ui|app)',
        '^node_modules/(next|react|drizzle-orm|better-sqlite3)',
      ],
      'The planner knows documents and core.',
    ),
    from(
      'planner-by-its-index',
      '^src/(?!planner)(?!.*\\.test\\.tsx?$)',
      '^src/planner/(?!index\\.ts$)',
      'The planner is used through its index.',
    ),
    from('io-down', '^src/io', '^src/(db|workers|ui|app)', 'Importers know documents and core.'),
    from('db-down', '^src/db', '^src/(workers|ui|app)', 'The database knows documents and core.'),
    from(
      'services-down',
      '^src/services',
      '^src/(db|workers|ui|app)',
      'Weather and tide know documents and core.',
    ),
    from(
      'jobs-down',
      '^src/jobs',
      '^src/(workers|ui|app|server)',
      'What runs off the request thread knows the database and below.',
    ),
    from(
      'server-down',
      '^src/server',
      '^src/(workers|app|ui/(?!theme))',
      'The server around the app knows the library, the jobs and the colours of its one page.',
    ),
    from(
      'routes-answer',
      '^src/app',
      '^src/(db/(upkeep|ready|restore|archive|inspect)|jobs/(tasks|worker))',
      'Whatever goes through the whole library is a job: a route only asks for it.',
    ),
    from('workers-down', '^src/workers', '^src/(db|ui|app)', 'Workers know documents and core.'),
    from(
      'ui-not-db',
      '^src/ui',
      '^src/(db|app)',
      'Screens reach the database through routes only.',
    ),
    from(
      'only-db-uses-sqlite',
      '^src/(?!db)',
      '^node_modules/(better-sqlite3|drizzle-orm)',
      'SQL stays in db.',
    ),
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    {
      name: 'rooms-by-their-index',
      severity: 'error',
      comment: 'A room of the core is used through its index.',
      from: { path: '^src/core/([^/]+)/' },
      to: {
        path: '^src/core/([^/]+)/(?!index\\.ts$)',
        pathNot: ['^src/core/$1/', '^src/core/testing/'],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
