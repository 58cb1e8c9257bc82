/** `npm run check`: types, lint, import rules, feature names, format. Fails on any break and says which. */
import { spawnSync } from 'node:child_process';
import process from 'node:process';

const node = (...args: string[]) => ({ command: process.execPath, args });
const CHECKS = [
  ...['core', 'contract', 'server', 'web', 'tsconfig.tests.json'].map((project) => ({
    name: `types ${project}`,
    ...node('node_modules/typescript-7/bin/tsc', '-p', project),
  })),
  {
    name: 'import rules',
    ...node(
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      'core',
      'contract',
      'server',
      'web',
      'demo',
      'e2e',
    ),
  },
  { name: 'feature names', ...node('tools/check-feature-names.mjs') },
  { name: 'looks', ...node('tools/check-looks.mjs') },
  { name: 'format', ...node('node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.') },
  { name: 'lint', ...node('node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0') },
];

const failed = CHECKS.filter(({ name, command, args }) => {
  const { status } = spawnSync(command, args, { stdio: 'inherit' });
  console.log(`${status === 0 ? 'ok    ' : 'BROKEN'} ${name}`);
  return status !== 0;
});
if (failed.length > 0) {
  console.error(`${failed.length} of ${CHECKS.length} checks failed: ${failed.map(({ name }) => name).join(', ')}`);
  process.exit(1);
}
