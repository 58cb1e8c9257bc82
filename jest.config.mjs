// Native ESM: started by tools/test.ts with --experimental-vm-modules.
const swc = (tsx) => [
  '<rootDir>/tools/testing/quick-globals.mjs',
  {
    swcrc: false,
    sourceMaps: 'inline',
    module: { type: 'es6' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx },
      transform: tsx ? { react: { runtime: 'automatic' } } : {},
    },
  },
];
const common = {
  rootDir: '.',
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx$': swc(true), '^.+\\.[tj]s$': swc(false) },
  transformIgnorePatterns: ['/node_modules/(?!drizzle-orm/)'],
  modulePathIgnorePatterns: ['<rootDir>/web/dist/', '<rootDir>/demo-data/', '<rootDir>/e2e/out/'],
};

/** @type {import('jest').Config} */
export default {
  // The longest test takes less than a minute, and a busy machine several times as long; what hangs is found out all the same.
  testTimeout: 300_000,
  // Not with what the tests themselves keep: that goes with them.
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  projects: [
    {
      ...common,
      displayName: 'unit',
      setupFiles: ['<rootDir>/web/testing/browser-globals.ts'],
      testMatch: ['<rootDir>/{core,contract,demo,web,tools}/**/*.test.{ts,tsx}'],
    },
    { ...common, displayName: 'api', testMatch: ['<rootDir>/server/**/*.test.ts'] },
    { ...common, displayName: 'e2e', testMatch: ['<rootDir>/e2e/**/*.e2e.ts'] },
  ],
};
