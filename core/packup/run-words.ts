import type { CareItem } from '#core/book/care-item.ts';
import { counted, listed } from '#core/explain/format.ts';
import type { RunKind } from '#core/packup/run-log.ts';

const RUN_WORDS: Readonly<Record<RunKind, string>> = { before: 'Made ready', after: 'Packed up', care: 'Care done' };
const BEGUN_WORDS: Readonly<Record<RunKind, string>> = {
  before: 'Making ready begun, not finished',
  after: 'Packing up begun, not finished',
  care: 'Care begun, not finished',
};
const LISTED_AT_MOST = 3;

/** What a run left in the record: its kind and what it did beyond the steps of every play. */
export function runWords(
  kind: RunKind,
  done: readonly Pick<CareItem, 'name' | 'trigger'>[],
  finished: boolean,
): string {
  if (!finished) return BEGUN_WORDS[kind];
  const beyond = done.filter(({ trigger }) => trigger.kind !== 'every-play').map(({ name }) => name.toLowerCase());
  if (done.length === 0) return `${RUN_WORDS[kind]}: nothing done`;
  if (beyond.length === 0) return RUN_WORDS[kind];
  const named = beyond.slice(0, LISTED_AT_MOST);
  const more = beyond.length > named.length ? [`${counted(beyond.length - named.length, 'other')}`] : [];
  return `${RUN_WORDS[kind]}: ${listed([...named, ...more])}`;
}

/** What can no longer be done when a step is left out, said before it is. */
export function cannotThenWords(headings: readonly string[]): string {
  const named = headings.slice(0, LISTED_AT_MOST).map((heading) => `“${heading}”`);
  const more = headings.length > named.length ? [`${counted(headings.length - named.length, 'other')}`] : [];
  return `Then ${listed([...named, ...more])} cannot be done either.`;
}
