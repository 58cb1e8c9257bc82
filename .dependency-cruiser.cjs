/** Each rule's name is the sentence a reviewer would say. Tests may reach further than the code they test. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { pathNot: allowed },
});
const never = (name, from, to) => ({ name, severity: 'error', from, to });

/**
 * The rooms of the core from the ground up: each may use those before it, never one after it. `book` is the vocabulary
 * of the practice book; whoever computes is handed the book, and no room of these reaches a table.
 */
const CORE_ROOMS = [
  'kernel',
  'solve',
  'time',
  'money',
  'explain',
  'record',
  'instruments',
  'data',
  'settings',
  'players',
  'air',
  'book',
  'water',
  'plays',
  'calendar',
  'ics',
  'reeds',
  'doublereeds',
  'methods',
  'breaks',
  'conditions',
  'agents',
  'care',
  'faults',
  'handling',
  'reading',
  'packup',
  'inspections',
  'situation',
  'sittings',
  'bench',
  'costs',
  'year',
  'failure',
];
/** The packages the core may use, and why. A heavy one is handed in, and only its types are known. */
const CORE_PACKAGES = {
  highs: 'the types of the solver `core/solve/with-highs.ts` is handed: a worker loads it, the core never does',
  'ical.js': 'reads iCalendar files; only `core/ics` uses it, and only a worker runs that',
  'pure-rand': 'a seeded generator without dependencies: a simulated season is the same on every machine',
};
const corePackages = Object.keys(CORE_PACKAGES).map((name) => `^node_modules/${name}/`);
const roomOrder = CORE_ROOMS.map((room, index) =>
  only(`core-room-${room}-uses-only-rooms-below`, `^core/${room}/`, [
    ...CORE_ROOMS.slice(0, index + 1).map((below) => `^core/${below}/`),
    ...corePackages,
  ]),
);

module.exports = {
  forbidden: [
    never('no-import-cycles', {}, { circular: true }),

    only('core-imports-only-core-and-its-named-packages', '^core/', ['^core/', ...corePackages]),
    never(
      'the-core-loads-no-heavy-package',
      { path: '^core/', pathNot: '\\.test\\.tsx?$' },
      { path: '^node_modules/highs/', dependencyTypesNot: ['type-only'] },
    ),
    ...roomOrder,
    only('tables-write-the-book-and-use-only-its-words', '^core/tables/', [
      '^core/(kernel|explain|instruments|players|book|tables)/',
    ]),
    never(
      'the-book-is-handed-in-by-whoever-plugs-together',
      {
        path: '^(core|contract|server|web)/',
        pathNot: ['^core/tables/', '^server/(serve|testing/.*)\\.ts$', '\\.test\\.tsx?$'],
      },
      { path: '^core/tables/' },
    ),
    only('contract-imports-only-core-and-yup', '^contract/', ['^(core|contract)/', 'node_modules/yup/']),
    // pure-rand: a seeded generator with no dependencies, so that the demo world is the same on every machine.
    only('demo-imports-only-core-and-contract', '^demo/', ['^(core|contract|demo)/', 'node_modules/pure-rand/']),
    never('nothing-imports-web', { pathNot: '^web/' }, { path: '^web/' }),
    never('web-imports-only-core-and-contract-of-ours', { path: '^web/' }, { path: '^(server|demo|e2e|tools|bench)/' }),
    never('web-never-bundles-the-practice-tables', { path: '^web/' }, { path: '^core/tables/', reachable: true }),
    never(
      'server-imports-only-core-and-contract-of-ours',
      { path: '^server/' },
      { path: '^(web|demo|e2e|tools|bench)/' },
    ),
    never(
      'e2e-talks-over-the-wire',
      { path: '^e2e/' },
      // Which program is started is all it may know of it.
      { path: '^(server|web|tools)/', pathNot: '^tools/testing/programs\\.ts$' },
    ),

    never(
      'sql-stays-in-table-mapper-repository',
      {
        path: '^(server|tools|web)/',
        pathNot: [
          '^server/db/',
          '\\.(table|mapper|repository)\\.ts$',
          '^server/record/define-fact\\.ts$',
          '\\.test\\.ts$',
        ],
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
      'rows-stay-in-table-mapper-repository-and-the-definition-of-their-fact',
      { path: '^(server|tools|bench)/', pathNot: ['\\.(table|mapper|repository|fact)\\.ts$', '\\.test\\.ts$'] },
      { path: '\\.table\\.ts$' },
    ),
    never(
      'the-record-names-no-feature',
      { path: '^server/record/', pathNot: '\\.test\\.ts$' },
      { path: '^server/(features|facts)', dependencyTypesNot: ['type-only'] },
    ),
    never(
      'server-features-meet-at-repositories',
      { path: '^server/features/([^/]+)/', pathNot: '\\.test\\.ts$' },
      { path: '^server/features/', pathNot: ['^server/features/$1/', '\\.(repository|table)\\.ts$'] },
    ),

    never(
      'presentational-pieces-do-not-fetch',
      { path: ['^web/ui/', '^web/features/[^/]+/parts/'] },
      {
        path: ['\\.(queries|actions)\\.ts$', '^web/api/', 'node_modules/@tanstack/react-query/'],
        dependencyTypesNot: ['type-only'],
      },
    ),
    never(
      'shared-ui-knows-no-feature',
      { path: '^web/(ui|theme|api|clock|session|record)/' },
      { path: '^web/features/' },
    ),
    never(
      'only-app-knows-every-feature',
      { path: '^web/(features|ui|theme|api|clock|session|record)/' },
      { path: '^web/app/' },
    ),
    never(
      'web-features-meet-at-queries-actions-parts-and-compartments',
      { path: '^web/features/([^/]+)/' },
      {
        path: '^web/features/',
        pathNot: ['^web/features/$1/', '\\.(queries|actions)\\.ts$', '^web/features/[^/]+/(parts|compartments)/'],
      },
    ),
    never('production-code-imports-no-tests', { pathNot: '\\.(test|e2e)\\.tsx?$' }, { path: '\\.(test|e2e)\\.tsx?$' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(web|server)/dist/' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.d.ts'],
    },
  },
};
