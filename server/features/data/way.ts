import type { Book } from '#core/book/book.ts';
import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { IncomingPreview, TableReading, TakeRequest } from '#contract/data.ts';
import type { DocumentProblem } from '#server/features/data/import-document.ts';
import type { HeldRecord } from '#server/held-record.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What a way of taking something in is given. */
export type AtHand = {
  readonly record: HeldRecord;
  readonly book: Book;
  readonly definitions: readonly AnyFact<Services>[];
  readonly nowMs: () => number;
  /** The file, and a name beside it for what is made of it. */
  readonly file: string;
  readonly beside: string;
  readonly format: Format;
  readonly today: LocalDate;
  /** What the file is called. */
  readonly name: string;
  /** How it is to be read, where somebody has said so of a table. */
  readonly reading: TableReading | null;
  readonly stop: AbortSignal;
  readonly report: (progress: number) => void;
};

/** What a look at a file has found; what is wrong with it, line by line, where it is shown all the same. */
export type LookedInto = { readonly preview: IncomingPreview; readonly problems?: readonly DocumentProblem[] };

/** How one sort of file is taken in: looked at first, and then for good. */
export type Way = {
  readonly look: (at: AtHand) => Promise<LookedInto>;
  /** @returns what has come of it, in words */
  readonly take: (at: AtHand, request: TakeRequest) => Promise<string>;
  /** What was made of the file goes with it. */
  readonly clear: (beside: string) => void;
};
