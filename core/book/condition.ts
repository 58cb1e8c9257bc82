import type { CareItemId } from '#core/book/care-ids.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { KindId, PartId } from '#core/instruments/kind.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What was read off a hygrometer. */
export type AirReading = { readonly celsius: number; readonly humidityPercent: number };

/** A condition as it stands in the record. `endsOn` is its last day; null while nobody has said. */
export type Condition = {
  readonly key: string;
  readonly id: ConditionId;
  readonly beginsOn: LocalDate;
  readonly endsOn: LocalDate | null;
  /** Where it is, for a condition of one part (a new cork). */
  readonly part: PartId | null;
  /** The parts it is about, where only some of it are played. */
  readonly alone: AloneId | null;
  readonly air: AirReading | null;
};

/** Days counted from the begin (day 0) on which something falls due, and how often after the last of them. */
export type Schedule = { readonly days: readonly number[]; readonly thenEvery?: number };

export type ConditionEffect =
  /** Falls due on days of the condition. `doneWithin`: done so many days before the begin counts as well. */
  | {
      readonly kind: 'due-on-days';
      readonly items: readonly CareItemId[];
      readonly schedule: Schedule;
      readonly doneWithin?: Marked;
      readonly words: string;
      readonly mark: Mark;
    }
  | {
      readonly kind: 'due-on-days-by-method';
      readonly items: readonly CareItemId[];
      readonly method: MethodId;
      readonly schedules: Readonly<Record<string, Schedule>>;
      readonly mark: Mark;
    }
  /** Falls due at least so often while it lasts. */
  | { readonly kind: 'at-least-every'; readonly items: readonly CareItemId[]; readonly days: Marked }
  /** Belongs to every making-ready while it lasts. */
  | { readonly kind: 'at-each-joining'; readonly items: readonly CareItemId[] }
  /** Played no longer than this in a day. */
  | { readonly kind: 'daily-minutes'; readonly most: Marked }
  /** Held to while it lasts, though no step or clock of Ulu's can do it. */
  | {
      readonly kind: 'hold';
      readonly text: string;
      readonly mark: Mark;
      /** Only where one of these choices of a question is in force. */
      readonly by?: { readonly method: MethodId; readonly choices: readonly string[] };
      /** Only on these kinds. */
      readonly kinds?: readonly KindId[];
    };

/** How it ends: by itself after so many days, or when somebody says so. */
export type ConditionEnd =
  | { readonly kind: 'after-days'; readonly days: Marked }
  | {
      readonly kind: 'after-days-by-method';
      readonly method: MethodId;
      readonly days: Readonly<Record<string, Marked>>;
    }
  | { readonly kind: 'when-said'; readonly words: string };

export type ConditionKind = {
  readonly id: ConditionId;
  readonly name: string;
  /** What is asked when it is entered. */
  readonly begins: string;
  /** Whose it is: the player's, and then of every instrument of theirs, or one instrument's. */
  readonly of: 'player' | 'instrument';
  readonly where?: readonly { readonly kinds?: readonly KindId[]; readonly build?: BuildCondition }[];
  /** Needs a part, parts that are played by themselves, or what a hygrometer shows. */
  readonly asks?: 'part' | 'alone' | 'air';
  /** May be entered for a day to come (a rest planned). */
  readonly mayBeginLater?: true;
  readonly ends: ConditionEnd;
  readonly effects: readonly ConditionEffect[];
};
