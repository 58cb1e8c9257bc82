import type { Fact } from '#core/record/fact.ts';

/** What a record says it is where it stands in one open document, and the version that is written. */
export const RECORD_FORMAT = 'ulu-record';
export const RECORD_VERSION = 1;

/** What stands before the facts: of what it is a record. `instrument`: of that one alone; null: the whole. */
export type DocumentHead = {
  readonly format: typeof RECORD_FORMAT;
  readonly version: number;
  readonly instrument: string | null;
};

/** A fact as it stands in a document. */
export type WrittenFact = Fact;

/** Another key a fact is known under, and what was sent under it. */
export type WrittenOtherKey = { readonly key: string; readonly fact: string; readonly sent: unknown };

/** The lists of a document, in their order. */
export const DOCUMENT_LISTS = ['facts', 'otherKeys'] as const;
export type DocumentList = (typeof DOCUMENT_LISTS)[number];

const line = (value: object): string => JSON.stringify(value);

/** A document, line by line: its head, each list with one element a line, and the end. */
export const documentLines = {
  head: ({ format, version, instrument }: DocumentHead): string =>
    `{"format":${JSON.stringify(format)},"version":${version},"instrument":${JSON.stringify(instrument)}`,
  opens: (list: DocumentList): string => `,\n"${list}":[`,
  element: (value: object, isFirst: boolean): string => `${isFirst ? '' : ','}\n${line(value)}`,
  closes: '\n]',
  end: '\n}\n',
} as const;
