import { ValidationError } from 'yup';
import type { Outcome } from '#core/kernel/outcome.ts';
import { asError } from '#core/kernel/as-error.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { RECORD_FORMAT, RECORD_VERSION, type WrittenFact } from '#core/data/document.ts';
import { factRefusalWords, moreRefusedWords, noDocumentWords, type FactRefusal } from '#core/data/document-words.ts';
import { differences, fieldOf, saysTheSame } from '#core/record/fact.ts';
import { NoDocument } from '#core/data/split-document.ts';
import { documentHead, writtenFact, writtenOtherKey } from '#contract/document.ts';
import type { Beside } from '#server/features/data/beside.ts';
import { aliasOf, type Aliases } from '#server/features/data/aliases.ts';
import { elementsOf, type ReadTo } from '#server/features/data/read-document.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import { createRecord, type RecordOf } from '#server/record/record.repository.ts';
import { WITHDRAWAL } from '#server/record/withdrawal.fact.ts';

/** A problem of a document: of which of its facts, counted from one; null: of the whole. */
export type DocumentProblem = { readonly at: number | null; readonly words: string };
/** The document was not taken in; nothing of it was. */
export class DocumentRefusal extends Error {
  constructor(readonly problems: readonly DocumentProblem[]) {
    super(problems[0]?.words ?? 'The file was not taken in.');
  }
}

export type Imported = {
  /** Facts that are in the record now and were not before. */
  readonly taken: number;
  /** Those it had already. */
  readonly known: number;
  /** Those of players who are somebody else's here. */
  readonly passedOver: number;
};

/** Nobody reads more problems than this. */
const MOST_TOLD = 20;

class Problems {
  readonly #told: DocumentProblem[] = [];
  #more = 0;

  get any(): boolean {
    return this.#told.length > 0;
  }

  add(at: number | null, words: string): void {
    if (this.#told.length < MOST_TOLD) this.#told.push({ at, words });
    else this.#more++;
  }

  refuse(): void {
    const more = this.#more === 0 ? [] : [{ at: null, words: moreRefusedWords(this.#more) }];
    if (this.any) throw new DocumentRefusal([...this.#told, ...more]);
  }
}

/** The fact an element is, its body as its kind has it. */
function factIn<Told>(value: unknown, definitionOf: RecordOf<Told>['definitionOf']): Outcome<WrittenFact, FactRefusal> {
  try {
    const envelope = writtenFact.validateSync(value, { strict: true });
    const definition = knownKind(envelope.kind, definitionOf);
    if (definition === undefined) return fail({ code: 'unknown-kind', kind: envelope.kind });
    definition.kept.validateSync(envelope.body, { strict: true });
    return succeed(envelope as WrittenFact);
  } catch (error) {
    if (error instanceof ValidationError) return fail({ code: 'not-a-fact', what: error.message.slice(0, 200) });
    throw error;
  }
}

function knownKind<Told>(kind: string, definitionOf: RecordOf<Told>['definitionOf']): AnyFact<Told> | undefined {
  try {
    return definitionOf(kind);
  } catch {
    return undefined;
  }
}

/** The fields in which bodies differ; the whole where it is not one of theirs alone. */
function bodyDiffering(one: unknown, other: unknown): string[] {
  const fields = differences(one as Record<string, unknown>, other);
  return fields.length === 0 ? ['body'] : fields;
}

const ENVELOPE = ['kind', 'on', 'atMinute', 'loggedAt', 'corrects', 'belongsTo'] as const;
/** In which fields two facts under one key differ. */
const differing = (one: WrittenFact, other: WrittenFact): string[] => [
  ...ENVELOPE.filter((field) => one[field] !== other[field]),
  ...(saysTheSame(one.body, other.body) ? [] : bodyDiffering(one.body, other.body)),
];

/** Takes facts into a record one by one, as they arrived elsewhere. */
function taker<Told>(record: RecordOf<Told>, aliases: Aliases) {
  const count = { taken: 0, known: 0, passedOver: 0 };

  /** Does the record say so already? A withdrawal of what is taken back already is one. */
  const isKnown = (fact: WrittenFact): Outcome<boolean, FactRefusal> => {
    const found = record.find(fact.key);
    if (found !== undefined) {
      const fields = differing(fact, found);
      return fields.length === 0 ? succeed(true) : fail({ code: 'other-content', key: fact.key, fields });
    }
    if (record.findOtherKey(fact.key)) return fail({ code: 'other-content', key: fact.key, fields: ['kind'] });
    const target = fieldOf(fact.body, 'targetKey');
    return succeed(fact.kind === WITHDRAWAL && record.withdrawalOf(String(target)) !== undefined);
  };

  const write = (fact: WrittenFact): FactRefusal | null => {
    try {
      record.append([fact]);
    } catch (error) {
      // What the rows refer to, or may hold, the database says; anything else is no fault of the file.
      const message = asError(error).message + asError(asError(error).cause).message;
      if (/refers to|FOREIGN KEY|no run has/.test(message)) return { code: 'refers-to-nothing', key: fact.key };
      if (/constraint|bind|datatype|UNIQUE|CHECK/i.test(message)) return { code: 'not-kept-so', key: fact.key };
      throw error;
    }
    const kept = record.find(fact.key);
    return kept && differing(fact, kept).length === 0 ? null : { code: 'not-kept-so', key: fact.key };
  };

  return {
    count,
    take: (raw: WrittenFact): FactRefusal | null => {
      const fact = aliasOf(raw, aliases);
      if (fact === null) {
        count.passedOver++;
        return null;
      }
      const known = isKnown(fact);
      if (!known.ok) return known.failure;
      if (known.value) {
        count.known++;
        return null;
      }
      const refusal = write(fact);
      if (refusal === null) count.taken++;
      return refusal;
    },
    /** A key that stands for another entry; one that does so already is passed over. */
    takeOtherKey: (value: unknown): FactRefusal | null => {
      try {
        const { key, fact, sent } = writtenOtherKey.validateSync(value, { strict: true });
        if (record.knowsKey(key)) return null;
        if (record.find(fact) === undefined) return { code: 'refers-to-nothing', key };
        record.alsoKnownAs(fact, key, sent);
        return null;
      } catch (error) {
        if (error instanceof ValidationError) return { code: 'not-a-fact', what: error.message.slice(0, 200) };
        throw error;
      }
    },
  };
}

function refuseHead(rest: ReadTo['rest'], problems: Problems): void {
  const format = fieldOf(rest, 'format');
  const version = fieldOf(rest, 'version');
  if (format !== RECORD_FORMAT)
    throw new DocumentRefusal([{ at: null, words: 'The file is JSON, but no record of Ulu.' }]);
  if (typeof version === 'number' && version > RECORD_VERSION)
    throw new DocumentRefusal([
      { at: null, words: 'The file was written by a newer version of Ulu. Take it in with that version.' },
    ]);
  try {
    documentHead.validateSync(rest, { strict: true });
  } catch (error) {
    problems.add(null, factRefusalWords({ code: 'not-a-fact', what: asError(error).message.slice(0, 200) }));
  }
}

const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
/** So long is worked before others have their turn, ms. */
const TURN_MS = 8;

/**
 * Takes the facts of a document into a record, in the transaction it is given: as they arrived elsewhere, not judged by
 * today's rules. What the record has already is passed over; where it says something else under a key, that is told and
 * nothing is taken.
 *
 * @param stop ends it
 * @param report is told how much of the file has been read, from 0 to 1
 * @throws DocumentRefusal with what is wrong, fact by fact
 */
export async function importDocument<Told>(
  file: string,
  { db }: Pick<Beside, 'db'>,
  {
    definitions,
    aliases,
    stop,
    report = () => undefined,
  }: {
    readonly definitions: readonly AnyFact<Told>[];
    readonly aliases: Aliases;
    readonly stop: AbortSignal;
    readonly report?: (progress: number) => void;
  },
): Promise<Imported> {
  const record = createRecord(db, definitions);
  const { count, take, takeOtherKey } = taker(record, aliases);
  const problems = new Problems();
  const read: ReadTo = {};
  let at = 0;
  let since = performance.now();
  const takeElement = (list: string, value: unknown): void => {
    if (list === 'otherKeys') {
      const refusal = problems.any ? null : takeOtherKey(value);
      if (refusal) problems.add(null, factRefusalWords(refusal));
      return;
    }
    at++;
    const fact = factIn(value, record.definitionOf);
    // After the first problem nothing is written any more: what would stand on it is not to blame.
    const refusal = fact.ok ? (problems.any ? null : take(fact.value)) : fact.failure;
    if (refusal) problems.add(at, factRefusalWords(refusal));
  };
  try {
    for await (const elements of elementsOf(file, read))
      for (const { list, value } of elements) {
        if (list !== 'facts' && list !== 'otherKeys') continue;
        takeElement(list, value);
        if (performance.now() - since < TURN_MS) continue;
        report(read.progress ?? 0);
        await nextTurn();
        stop.throwIfAborted();
        since = performance.now();
      }
  } catch (error) {
    if (!(error instanceof NoDocument)) throw error;
    throw new DocumentRefusal([{ at: null, words: noDocumentWords(error.code) }]);
  }
  refuseHead(read.rest, problems);
  problems.refuse();
  return count;
}
