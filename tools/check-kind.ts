/**
 * `npm run check-kind -- recorder`: proves one kind of instrument in some seconds, the first fault first, in words that say
 * what to add where. `docs/adding-a-kind.md` tells the whole way.
 */
import { checkKind } from '#core/check/check-kind.ts';
import { KIND_IDS, isKindId } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';

/** As many faults of one sort as somebody can put right at once. */
const MOST_PRINTED = 12;

const [kind = ''] = process.argv.slice(2).filter((one) => !one.startsWith('-'));
if (!isKindId(kind)) {
  console.error(`no such kind: ${kind}. Known: ${KIND_IDS.join(', ')}`);
  process.exit(1);
}
for (const { what, faults } of checkKind(BOOK, kind)) {
  console.log(`${faults.length === 0 ? 'ok    ' : 'BROKEN'} ${what}`);
  for (const one of faults.slice(0, MOST_PRINTED)) console.log(`       ${one.where}: ${one.what}`);
  if (faults.length > MOST_PRINTED) console.log(`       and ${faults.length - MOST_PRINTED} more`);
  if (faults.length > 0) process.exitCode = 1;
}
