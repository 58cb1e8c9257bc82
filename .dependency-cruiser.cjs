/** Each rule's name is the sentence a reviewer would say. Tests may reach further than the code they test. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { pathNot: allowed },
});
const never = (name, from, to) => ({ name, severity: 'error', from, to });

module.exports = {
  forbidden: [
    never('no-import-cycles', {}, { circular: true }),

    only('core-imports-only-core', '^core/', ['^core/']),
    only('contract-imports-only-core-and-yup', '^contract/', ['^(core|contract)/', 'node_modules/yup/']),
    // pure-rand: a seeded generator with no dependencies, so that the demo world is the same on every machine.
    only('demo-imports-only-core-and-contract', '^demo/', ['^(core|contract|demo)/', 'node_modules/pure-rand/']),
    never('nothing-imports-web', { pathNot: '^web/' }, { path: '^web/' }),
    never('web-imports-only-core-and-contract-of-ours', { path: '^web/' }, { path: '^(server|demo|e2e|tools|bench)/' }),
    never(
      'web-never-bundles-the-practice-tables',
      { path: '^web/' },
      { path: ['^core/care/tables/', '^core/care/practice-book\\.ts$', '^core/instruments/tables/'], reachable: true },
    ),
    never(
      'server-imports-only-core-and-contract-of-ours',
      { path: '^server/' },
      { path: '^(web|demo|e2e|tools|bench)/' },
    ),
    never('e2e-talks-over-the-wire', { path: '^e2e/' }, { path: '^(server|web|tools)/' }),

    never(
      'sql-stays-in-table-mapper-repository',
      {
        path: '^(server|tools|web)/',
        pathNot: ['^server/db/', '\\.(table|mapper|repository)\\.ts$', '\\.test\\.ts$'],
      },
      { path: 'node_modules/drizzle-orm/' },
    ),
    never(
      'express-stays-in-routes-and-http',
      { path: '^server/', pathNot: ['^server/http/', '^server/app\\.ts$', '\\.routes\\.ts$', '\\.test\\.ts$'] },
      { path: 'node_modules/(@types/)?express/' },
    ),
    never('use-cases-know-no-http', { path: '\\.use-cases\\.ts$' }, { path: '^server/http/' }),
    never('routes-never-touch-rows', { path: '\\.routes\\.ts$' }, { path: '\\.(table|mapper)\\.ts$' }),
    never(
      'server-features-meet-at-repositories',
      { path: '^server/features/([^/]+)/', pathNot: '\\.test\\.ts$' },
      { path: '^server/features/', pathNot: ['^server/features/$1/', '\\.(repository|table)\\.ts$'] },
    ),

    never(
      'presentational-pieces-do-not-fetch',
      { path: ['^web/ui/', '^web/features/[^/]+/parts/'] },
      {
        path: ['\\.queries\\.ts$', '^web/api/', 'node_modules/@tanstack/react-query/'],
        dependencyTypesNot: ['type-only'],
      },
    ),
    never('shared-ui-knows-no-feature', { path: '^web/(ui|theme|api|clock|session)/' }, { path: '^web/features/' }),
    never(
      'only-app-knows-every-feature',
      { path: '^web/(features|ui|theme|api|clock|session)/' },
      { path: '^web/app/' },
    ),
    never(
      'web-features-meet-at-queries-and-parts',
      { path: '^web/features/([^/]+)/' },
      { path: '^web/features/', pathNot: ['^web/features/$1/', '\\.queries\\.ts$', '^web/features/[^/]+/parts/'] },
    ),
    never('production-code-imports-no-tests', { pathNot: '\\.(test|e2e)\\.tsx?$' }, { path: '\\.(test|e2e)\\.tsx?$' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^web/dist/' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.d.ts'],
    },
  },
};
