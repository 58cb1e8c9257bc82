import { signOf, type CareItem } from '#core/care/care-item.ts';
import type { DecisionKind } from '#core/care/care-decision.ts';
import type { ConditionId } from '#core/conditions/condition-ids.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import { schoolOf } from '#core/schools/chosen-school.ts';
import { isSchoolId } from '#core/schools/school-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { counted, duration, figure, listed, type Format } from '#core/explain/format.ts';
import type { RunKind } from '#core/packup/run-log.ts';

const RUN_WORDS: Readonly<Record<RunKind, string>> = { before: 'Made ready', after: 'Packed up', care: 'Care done' };
const LISTED_AT_MOST = 3;

/** As the book has it, whatever the build: a history may name what its instrument no longer has. */
type Named = Pick<CareItem, 'name' | 'trigger'>;

export const playWords = (minutes: number, roomCelsius: number | null): string =>
  `Played ${duration(minutes)}${roomCelsius === null ? '' : ` at about ${figure(roomCelsius)} °C`}`;

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

export const careWords = (item: Named | undefined, itemId: string, by: 'player' | 'bench'): string =>
  `${item?.name ?? itemId}${by === 'bench' ? ', by the bench' : ''}`;

export const signWords = (item: Named | undefined, itemId: string): string =>
  `Noticed: ${(item && signOf(item)) ?? item?.name ?? itemId}`;

export function decisionWords(
  item: Named | undefined,
  { itemId, kind, until }: { readonly itemId: string; readonly kind: DecisionKind; readonly until: LocalDate | null },
  format: Format,
): string {
  const name = item?.name ?? itemId;
  switch (kind) {
    case 'postponed':
      return until === null ? `${name}: let wait` : `${name}: let wait until ${format.date(until)}`;
    case 'declined':
      return `${name}: not done here`;
    case 'resumed':
      return `${name}: done again from now on`;
  }
}

/** A choice where practice differs; null went back to the default. */
export function schoolWords(id: string, choice: string | null): string {
  if (!isSchoolId(id)) return `${id}: ${choice ?? 'back to the default'}`;
  const { question, choices } = schoolOf(id);
  const words = choice === null ? 'back to the default' : (choices[choice]?.words ?? choice);
  return `${question} ${words}`;
}

export const schoolSetWords = (name: string): string => `Choices taken from “${name}”`;

export const conditionWords = (id: ConditionId, ofPlayer: boolean): string =>
  `${conditionKind(id).name}${ofPlayer ? ' (whoever plays it)' : ''}`;
