import type { LocalDate } from '#core/time/local-date.ts';
import type { Instant } from '#core/time/instant.ts';

/** What a fact can be about. A new word here needs no migration. */
export const SUBJECT_KINDS = ['instrument', 'player'] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];
export type Subject = { readonly kind: SubjectKind; readonly id: string };

export const ofInstrument = (id: string): Subject => ({ kind: 'instrument', id });
export const ofPlayer = (id: string): Subject => ({ kind: 'player', id });

/**
 * Something that was so: the one form in which anything stands in the record. Facts are never changed and never
 * deleted; a withdrawal takes one back, a correction takes its place.
 */
export type Fact<Body = unknown> = {
  /** Made by whoever logs it: the same key is the same fact, however often it is sent. */
  readonly key: string;
  readonly kind: string;
  /** The day on the player's calendar, and the minute of that day where it is known. */
  readonly on: LocalDate;
  readonly atMinute: number | null;
  readonly loggedAt: Instant;
  /** The key of the original fact whose place it takes. */
  readonly corrects: string | null;
  /** The key of the fact it came with: it counts only while that one does. */
  readonly belongsTo: string | null;
  readonly body: Body;
};

/** A field of something nobody knows the shape of; undefined where it has none. */
export const fieldOf = (value: unknown, name: string): unknown =>
  typeof value === 'object' && value !== null && Object.hasOwn(value, name) ? Reflect.get(value, name) : undefined;

const plain = (value: unknown): unknown =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(
        Object.entries(value)
          .filter(([, one]) => one !== undefined)
          .sort(([a], [b]) => (a < b ? -1 : 1))
          .map(([field, one]) => [field, plain(one)]),
      )
    : Array.isArray(value)
      ? value.map(plain)
      : value;

/** Do two values say the same, whatever the order of their fields? */
export const saysTheSame = (a: unknown, b: unknown): boolean => JSON.stringify(plain(a)) === JSON.stringify(plain(b));

/**
 * The fields in which what was sent differs from what is stored, by name. A field that the stored fact does not know
 * (`undefined`: it was logged by a version that did not keep it) differs in nothing.
 */
export const differences = (sent: Readonly<Record<string, unknown>>, stored: unknown): string[] =>
  Object.keys(sent).filter((field) => {
    const kept = fieldOf(stored, field);
    return kept !== undefined && !saysTheSame(sent[field], kept);
  });
