import type { CareItem } from '#core/care/care-item.ts';
import { counted, duration, listed } from '#core/explain/format.ts';
import type { RunKind } from '#core/packup/run-log.ts';

/** What stands in an instrument's record and can be taken back. */
export const RECORD_KINDS = ['play', 'run', 'care'] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

const RUN_WORDS: Readonly<Record<RunKind, string>> = { before: 'Made ready', after: 'Packed up', care: 'Care done' };
const LISTED_AT_MOST = 3;

export const playWords = (minutes: number): string => `Played ${duration(minutes)}`;

/** What a run left in the record: its kind and what it did beyond the steps of every play. */
export function runWords(kind: RunKind, done: readonly CareItem[], finished: boolean): string {
  if (!finished) return `${RUN_WORDS[kind]}: not finished`;
  const beyond = done.filter(({ trigger }) => trigger.kind !== 'every-play').map(({ name }) => name.toLowerCase());
  if (done.length === 0) return `${RUN_WORDS[kind]}: nothing done`;
  if (beyond.length === 0) return RUN_WORDS[kind];
  const named = beyond.slice(0, LISTED_AT_MOST);
  const more = beyond.length > named.length ? [`${counted(beyond.length - named.length, 'other')}`] : [];
  return `${RUN_WORDS[kind]}: ${listed([...named, ...more])}`;
}

export const careWords = (item: CareItem | undefined, itemId: string, by: 'player' | 'bench'): string =>
  `${item?.name ?? itemId}${by === 'bench' ? ', by the bench' : ''}`;
