/** Looks live in the theme and in the shared pieces of web/ui: what is written in place is counted, and may not grow. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';

const MOST = 150;
const files = readdirSync('web', { recursive: true })
  .map(String)
  .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|(^|[\\/])dist[\\/]|^testing[\\/]/.test(file));
const count = (text, pattern) => [...text.matchAll(pattern)].length;
const found = files
  .map((file) => {
    const text = readFileSync(path.join('web', file), 'utf8');
    const isShared = /^(ui|theme)[\\/]/.test(file);
    return [file, count(text, /\s(?:sx|css)=|\bstyled\(/g) + (isShared ? 0 : count(text, /\sstyle=/g))];
  })
  .filter(([, looks]) => looks > 0);
const all = found.reduce((sum, [, looks]) => sum + looks, 0);
if (all > MOST) {
  const worst = found.toSorted(([, one], [, other]) => other - one).slice(0, 10);
  console.error(`${all} looks are written in place, of at most ${MOST}. Use a piece of web/ui, or make one:`);
  console.error(worst.map(([file, looks]) => `  ${looks}  web/${file}`).join('\n'));
  process.exit(1);
}
console.log(`${all} looks are written in place, of at most ${MOST}`);
