import { counted, listed } from '#core/explain/format.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { reedName } from '#core/reeds/reed-words.ts';

/** Where the reeds that were played go when it is packed up; null where nobody said which. */
export function putBackWords(played: readonly ReedState[]): string | null {
  if (played.length === 0) return null;
  const slots = played.map((reed) => `${reedName(reed)}${reed.box.place === null ? '' : ` (${reed.box.place})`}`);
  return `Back into ${played.length === 1 ? 'its slot' : 'their slots'}: ${listed(slots)}.`;
}

/** Which reeds are cleaned: those in use, box by box; null where none is. */
export function cleanedWords(reeds: readonly ReedState[]): string | null {
  const inUse = reeds.filter(({ stage }) => stage !== 'new' && stage !== 'retired');
  if (inUse.length === 0) return null;
  const boxes = [...new Set(inUse.map(({ boxName }) => boxName))];
  const named = boxes.map((boxName) => {
    const all = inUse.filter((reed) => reed.boxName === boxName);
    return `${boxName}, ${all.length === 1 ? 'reed' : 'reeds'} ${listed(all.map(({ number }) => String(number)))}`;
  });
  return `${counted(inUse.length, 'reed')} in use: ${named.join('; ')}.`;
}
