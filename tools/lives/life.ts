import type { BenchView } from '#contract/bench.ts';
import type { InstrumentPage } from '#contract/care.ts';
import type { CostsView } from '#contract/costs.ts';
import type { ReedsPageView } from '#contract/reed-views.ts';
import type { SittingsView } from '#contract/sittings.ts';
import type { TodayView } from '#contract/today.ts';
import type { SignId } from '#core/book/fault.ts';
import type { WorkId } from '#core/book/work.ts';
import type { Grade } from '#core/inspections/grade.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Person } from '#tools/lives/person.ts';

/** Pages somebody opens of a day; today's list everybody sees. */
export const PAGES = ['reeds', 'care', 'calendar', 'bench'] as const;
export type PageName = (typeof PAGES)[number];

/** An event of the calendar file as another program reads it, also one that is told as cancelled. */
export type ToldEvent = {
  readonly uid: string;
  readonly sequence: number;
  readonly isCancelled: boolean;
  readonly on: LocalDate;
  readonly summary: string;
  /** From when to when, and its title. */
  readonly when: string;
  /** All that it says, to be compared. */
  readonly content: string;
};

/** What the pages said at one moment of a day; null where they were not opened. */
export type Seen = {
  readonly today: TodayView;
  readonly reeds: ReedsPageView | null;
  readonly care: ReadonlyMap<string, InstrumentPage>;
  readonly sittings: SittingsView | null;
  readonly bench: BenchView | null;
  readonly costs: CostsView | null;
  /** The calendar as a file for other programs: what each event is and when, by its UID; null where it was not taken. */
  readonly file: ReadonlyMap<string, string> | null;
  /** As a program reads it that subscribes to its address: all of it, in its order. */
  readonly told: readonly ToldEvent[] | null;
};

/** What somebody did of a day. */
export type Deed =
  | {
      readonly did: 'played';
      readonly instrumentId: string;
      readonly minutes: number;
      readonly reeds: readonly string[];
    }
  | { readonly did: 'cared'; readonly instrumentId: string; readonly itemId: CareItemId }
  /** Packed up on the way, and cased damp. */
  | { readonly did: 'cased-damp'; readonly instrumentId: string }
  /** Tapped where it was seen. */
  | { readonly did: 'noticed'; readonly instrumentId: string; readonly itemId: CareItemId }
  /** What was wrong is found and put right, or somebody with a name has looked; which signs had been said of it. */
  | { readonly did: 'mended'; readonly instrumentId: string; readonly signs: readonly SignId[] }
  /** Read something of it, and what that says. */
  | { readonly did: 'read'; readonly instrumentId: string; readonly measure: string; readonly grade: Grade }
  /** Its stay was put in the calendar, for this work. */
  | { readonly did: 'to-the-bench'; readonly instrumentId: string; readonly works: readonly WorkId[] }
  /** It came back from the bench with this done, and had to be paid; the purse is what was put aside until then. */
  | {
      readonly did: 'came-back';
      readonly instrumentId: string;
      readonly works: readonly WorkId[];
      readonly asked: number;
      readonly purse: number;
    }
  /** Packed for the bench, or looked at when it was fetched, line by line. */
  | { readonly did: 'packed' | 'fetched'; readonly instrumentId: string }
  /** It was dropped, and nobody has looked yet. */
  | { readonly did: 'knocked'; readonly instrumentId: string }
  /** The back of a reed was looked at, and rubbed flat. */
  | { readonly did: 'flattened'; readonly reedId: string }
  | { readonly did: 'undid'; readonly what: string; readonly before: Seen; readonly after: Seen }
  /** Went on with everything on another machine. */
  | { readonly did: 'moved'; readonly before: Seen; readonly after: Seen }
  /** A reed was looked at to the end of it; so much was clipped off it, tenths of a millimetre. */
  | {
      readonly did: 'at-the-table';
      readonly reedId: string;
      readonly end: string;
      readonly clippedTenths: number;
      /** All that was read out at it. */
      readonly words: readonly string[];
    }
  | { readonly did: 'other'; readonly what: string };

/** One page of a diary. */
export type Day = {
  readonly on: LocalDate;
  readonly morning: Seen;
  readonly evening: Seen;
  readonly deeds: readonly Deed[];
  /** The day as it is read aloud. */
  readonly lines: readonly string[];
};

/** How somebody takes what they are told. */
export const NATURES = ['does-what-is-said', 'does-as-they-like', 'never-does-what-is-said'] as const;
export type Nature = (typeof NATURES)[number];

/** Somebody invented, with what they have and how they live. */
export type Life = {
  readonly name: string;
  /** Who it is, in a sentence. */
  readonly who: string;
  readonly from: LocalDate;
  readonly days: number;
  readonly nature: Nature;
  readonly opens: readonly PageName[];
  /** The calendar is opened once in so many days; its plan takes long. */
  readonly calendarEvery?: number;
  /** Moves in: who plays, on what, with which reeds. */
  readonly begin: (person: Person) => Promise<void>;
  /** Lives the day of this number, from 0. */
  readonly live: (person: Person, day: number) => Promise<void>;
};

/** A life as it was lived. */
export type Lived = { readonly life: Life; readonly days: readonly Day[] };

/** Something a rule found wrong. */
export type Breach = { readonly on: LocalDate; readonly words: string };

/** Something that holds in every life, every day. */
export type Rule = {
  readonly name: string;
  readonly words: string;
  /** It is known to fail until that is mended; named in plain words. */
  readonly expected?: string;
  readonly judge: (lived: Lived) => readonly Breach[];
};
