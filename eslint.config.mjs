import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const sizes = {
  'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
  'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
  'max-params': ['error', 4],
  complexity: ['error', 12],
};
// In flat config a later list replaces an earlier one, so shared entries are repeated on purpose.
const NAMED_EXPORTS = [
  ['ExportAllDeclaration', 'Name what you export; `export *` hides what is public and builds cycles.'],
  ['ExportDefaultDeclaration', 'Named exports only: the name is the same everywhere.'],
];
const NO_CLOCK_NO_DICE = [
  [
    "NewExpression[callee.name='Date'][arguments.length=0]",
    'Core never reads the clock: take `today` or `now` as an argument.',
  ],
  ["CallExpression[callee.object.name='Date'][callee.property.name='now']", 'Core never reads the clock.'],
  [
    "CallExpression[callee.object.name='Math'][callee.property.name='random']",
    'Core never rolls dice: take a seeded generator.',
  ],
];
/** Names of months and weekdays, and units that another reader has otherwise. */
const WRITTEN =
  '/\\b(January|February|March|April|June|July|August|September|October|November|December|(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day)\\b|°[CF]|\\d ?(mm|cm)\\b/';
const WRITTEN_BY_FORMAT = 'Days and units are written by FORMAT (web/clock/format.ts), as the reader writes them.';
const restrict = (...rows) => ['error', ...rows.map(([selector, message]) => ({ selector, message }))];
const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/*.e2e.ts'];

export default tseslint.config(
  { ignores: ['node_modules', 'web/dist', '**/*.cjs', '**/*.mjs', '**/*.d.ts', 'demo-data', 'dev-data'] },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.base],
    languageOptions: {
      parserOptions: {
        project: [
          'core/tsconfig.json',
          'contract/tsconfig.json',
          'server/tsconfig.json',
          'web/tsconfig.json',
          'tsconfig.tests.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      ...sizes,
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-restricted-syntax': restrict(...NAMED_EXPORTS),
    },
  },
  {
    files: ['core/**/*.ts', 'demo/**/*.ts'],
    ignores: TESTS,
    rules: { 'no-restricted-syntax': restrict(...NO_CLOCK_NO_DICE, ...NAMED_EXPORTS) },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/time/**', ...TESTS],
    rules: { 'no-restricted-globals': ['error', { name: 'Date', message: 'Calendar arithmetic lives in core/time.' }] },
  },
  {
    files: ['contract/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'yup', importNames: ['date', 'mixed'], message: 'Use the scalars of contract/scalars.ts.' }],
        },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    ignores: ['web/api/http.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Go through web/api/http.ts, which checks the contract.' },
      ],
    },
  },
  {
    files: ['web/**/*.tsx'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      // Markup is long and full of `&&` without being hard to read.
      'max-lines-per-function': ['error', { max: 110, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 18],
    },
  },
  {
    files: ['web/features/**/*.{ts,tsx}', 'web/ui/**/*.{ts,tsx}'],
    ignores: TESTS,
    rules: {
      'no-restricted-syntax': restrict(
        ['Literal[value=/^#[0-9a-fA-F]{3,8}$/]', 'Colours live in web/theme.'],
        [`Literal[value=${WRITTEN}]`, WRITTEN_BY_FORMAT],
        [`TemplateElement[value.raw=${WRITTEN}]`, WRITTEN_BY_FORMAT],
        [`JSXText[value=${WRITTEN}]`, WRITTEN_BY_FORMAT],
        ...NAMED_EXPORTS,
      ),
    },
  },
  // A flat switch over reasons, or a list of queries, is long without being hard to read.
  { files: ['core/**/*-words.ts'], rules: { complexity: ['error', 20] } },
  {
    files: ['server/**/*.repository.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 110, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['core/tables/**/*.ts', 'bench/**', ...TESTS],
    rules: {
      'max-lines': 'off',
      'max-lines-per-function': 'off',
      'max-params': 'off',
      complexity: 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
);
