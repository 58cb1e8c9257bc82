/**
 * `npm run new-kind -- fife --name "Fife" --like piccolo --family Flutes`: stubs of the three files a kind is made of, its
 * place in every list, the published schema and the ids given away. `npm run check-kind -- fife` then says what to add.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { FAMILIES, KIND_IDS, isKindId } from '#core/instruments/kind.ts';
import { isFamily, withKind } from './new-kind.ts';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    name: { type: 'string' },
    like: { type: 'string', default: 'piccolo' },
    family: { type: 'string', default: 'Flutes' },
  },
});
const stop = (text: string): never => {
  console.error(text);
  process.exit(1);
};

const [id = ''] = positionals;
if (!/^[a-z]+(?:-[a-z]+)*$/.test(id)) stop('say its id first, in small letters with hyphens: alto-clarinet');
if (isKindId(id)) stop(`${id} is there already`);
if (!isKindId(values.like)) stop(`--like ${values.like}: ${KIND_IDS.join(', ')}`);
const family = isFamily(values.family) ? values.family : stop(`--family ${values.family}: ${FAMILIES.join(', ')}`);
const name = values.name ?? `${id.charAt(0).toUpperCase()}${id.slice(1).replaceAll('-', ' ')}`;

const files = withKind({ id, name, like: values.like, family }, (file) => readFileSync(file, 'utf8'));
for (const [file, text] of Object.entries(files)) {
  console.log(`${existsSync(file) ? 'put into' : 'made    '} ${file}`);
  writeFileSync(file, text);
}
// What is made from the book is made anew by a program that has read it as it is now.
for (const script of ['tools/ids.ts', 'tools/new-kind/schema.ts']) {
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', script], { stdio: 'inherit' });
  if (status !== 0) stop(`${script} ended with ${status}`);
}
console.log(`\nNow: npm run check-kind -- ${id}`);
