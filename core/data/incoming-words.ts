import { counted, listed, type Format } from '#core/explain/format.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What a record holds, in numbers. */
export type HeldInRecord = {
  readonly players: number;
  readonly instruments: number;
  readonly plays: number;
  /** The days of its first and last play; null where it has none. */
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
};

/** "3 players, 8 instruments and 412 plays, from 2 November 2024 to 1 December 2026". */
export function heldSentence({ players, instruments, plays, from, to }: HeldInRecord, format: Format): string {
  const what = listed([counted(players, 'player'), counted(instruments, 'instrument'), counted(plays, 'play')]);
  return from === null || to === null ? what : `${what}, from ${format.date(from)} to ${format.date(to)}`;
}

/** Where the copy of before lies, and what follows from taking one back. */
export const copyLines = (format: Format, now: HeldInRecord): string[] => [
  `It takes the place of your record, which holds ${heldSentence(now, format)}.`,
  'Your record of now is moved aside and not deleted.',
];

/** What is new of a document, and what is not. */
export function documentLines(
  { taken, known, passedOver }: { readonly taken: number; readonly known: number; readonly passedOver: number },
  { instruments }: { readonly instruments: readonly string[] },
): string[] {
  if (taken === 0) return ['Your record has all of it already. Nothing would change.'];
  return [
    `${counted(taken, 'entry')} ${taken === 1 ? 'is' : 'are'} new here.`.replace('entrys', 'entries'),
    ...(known === 0 ? [] : [`${known} ${known === 1 ? 'is' : 'are'} in your record already and stay as they are.`]),
    ...(passedOver === 0 ? [] : ['Players you have matched stay as your record knows them.']),
    ...(instruments.length === 0 ? [] : [`New on the shelf: ${listed(instruments)}.`]),
    'A copy of your record is made before anything is written.',
  ];
}

/** What has come of a document. */
export const takenWords = (taken: number): string =>
  taken === 0
    ? 'Nothing was new. Your record is as it was.'
    : `${taken === 1 ? 'One entry was' : `${taken} entries were`} taken in. The copy of before lies among your copies.`;

/** What has come of a copy. */
export const restoredWords = (holds: string, aside: string | null): string =>
  `Taken back: ${holds}.${aside === null ? '' : ` The record of before lies at ${aside}.`}`;

const A_WEEK = 7;
/** A copy that is older than this is said to be old: one is made each day Ulu is used. */
export const isOldCopy = (newest: LocalDate | null, today: LocalDate): boolean =>
  newest === null || daysBetween(newest, today) > A_WEEK;

/** How old the newest copy is. */
export function copyAgeWords(newest: LocalDate | null, today: LocalDate): string {
  if (newest === null) return 'There is no copy of your record yet.';
  const days = daysBetween(newest, today);
  if (days <= 0) return 'The newest copy is of today.';
  if (days === 1) return 'The newest copy is of yesterday.';
  const age = `The newest copy is ${counted(days, 'day')} old.`;
  return days > A_WEEK ? `${age} Make one now.` : age;
}

/** The folder for copies is not there. */
export const noCopiesFolderWords = (folder: string): string =>
  `The folder for copies, ${folder}, cannot be reached. Plug its disk in, or start Ulu with --copies and another folder.`;

const KILO = 1000;
/** "812 kB", "8.8 MB". */
export function sizeWords(bytes: number, format: Format): string {
  const megabytes = bytes / KILO / KILO;
  return megabytes < 1 ? `${Math.ceil(bytes / KILO)} kB` : `${format.number(megabytes)} MB`;
}

/** The file is nothing that can be brought in. */
export const UNKNOWN_FILE =
  'This is no copy of Ulu, no record and no table. A spreadsheet is saved as CSV first. Nothing was changed.';
