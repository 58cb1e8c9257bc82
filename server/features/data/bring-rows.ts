import { randomUUID } from 'node:crypto';
import { refusalWords } from '#core/failure/refusal.ts';
import { moreRefusedWords } from '#core/data/document-words.ts';
import { TABLE_IMPORT } from '#core/data/table-words.ts';
import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { TableReading } from '#contract/data.ts';
import { keyFrom } from '#server/key-from.ts';
import type { DocumentProblem } from '#server/features/data/import-document.ts';
import { saysSo } from '#server/features/data/said-already.repository.ts';
import type { ReadTable } from '#server/features/data/read-table.ts';
import { rowReader, type RowSaid } from '#server/features/data/table-rows.ts';
import type { Beside } from '#server/features/data/beside.ts';
import type { Services } from '#server/services.ts';

export type Brought = {
  readonly taken: number;
  readonly known: number;
  readonly problems: readonly DocumentProblem[];
};
type Bringing = {
  readonly table: ReadTable;
  readonly reading: TableReading;
  readonly name: string;
  readonly today: LocalDate;
  readonly nowMs: number;
  readonly format: Format;
  readonly stop: AbortSignal;
  readonly report: (progress: number) => void;
};

/** Nobody reads more problems than this. */
const MOST_TOLD = 20;
const LAST_MINUTE = 1439;
const TURN_MS = 8;
const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

type Row = RowSaid & { readonly at: number; readonly key: string };

/** Rows with a key each, the same whenever the table is brought in; what is in the record already is counted. */
function keyed(rows: readonly (RowSaid & { readonly at: number })[], { record }: Services, db: Beside['db']) {
  const seen = new Map<string, number>();
  const matched = new Set<string>();
  const wanted: Row[] = [];
  let known = 0;
  for (const row of rows) {
    const says = JSON.stringify([row.kind, row.said]);
    const nth = seen.get(says) ?? 0;
    seen.set(says, nth + 1);
    const keyAt = (attempt: number) => keyFrom(['table', says, String(nth), String(attempt)]);
    let attempt = 0;
    // What was taken back is brought in under another key: it is said anew.
    while (record.knowsKey(keyAt(attempt)) && record.standing(keyAt(attempt)) === undefined) attempt++;
    const key = keyAt(attempt);
    const there = record.knowsKey(key) ? key : saysSo(db, row, matched);
    if (there !== null) {
      matched.add(there);
      known++;
    } else wanted.push({ ...row, key });
  }
  return { wanted, known };
}

/** Rows as they are read, and what is wrong with those that cannot be. */
function readRows({ table, reading }: Bringing, services: Services) {
  const read = rowReader(reading, services);
  const rows: (RowSaid & { readonly at: number })[] = [];
  const problems: DocumentProblem[] = [];
  for (const row of reading.hasHeader ? table.rows.slice(1) : table.rows) {
    const said = read(row);
    if (said.ok) rows.push({ ...said.value, at: row.at });
    else problems.push({ at: row.at, words: said.failure.words });
  }
  return { rows, problems };
}

/**
 * Brings the rows of a table into a record, in the transaction it is given, each by the rules of its kind. Where one of
 * them cannot be, it is told by its row and nothing may be kept.
 */
export async function bringRows(beside: Beside, services: Services, bringing: Bringing): Promise<Brought> {
  const { reading, name, today, nowMs, format, stop, report } = bringing;
  const { record } = services;
  const { rows, problems } = readRows(bringing, services);
  const { wanted, known } = keyed(rows, services, beside.db);
  const now = { on: today, atMinute: LAST_MINUTE };
  const loggedAt = instantOfMs(nowMs);
  const importKey = randomUUID();
  const body = { playerId: reading.playerId, what: reading.what, name, rows: wanted.length };
  record.append([
    { key: importKey, kind: TABLE_IMPORT, ...now, atMinute: null, loggedAt, corrects: null, belongsTo: null, body },
  ]);
  let since = performance.now();
  for (const [index, { at, kind, key, said }] of wanted.entries()) {
    const deciding = { now, atMs: nowMs, corrects: null, moment: now };
    const decided = record.definitionOf(kind).decide?.({ ...said, key, now } as never, deciding, services);
    if (decided?.ok === true) {
      const { body: kept, on, atMinute } = decided.value;
      record.append([{ key, kind, on, atMinute, loggedAt, corrects: null, belongsTo: importKey, body: kept }]);
    } else if (decided) problems.push({ at, words: refusalWords(decided.failure.refusal, format) });
    if (performance.now() - since < TURN_MS) continue;
    report(index / wanted.length);
    await nextTurn();
    stop.throwIfAborted();
    since = performance.now();
  }
  return { taken: wanted.length, known, problems: told(problems) };
}

/** The first problems by row, and how many more there are. */
function told(problems: readonly DocumentProblem[]): readonly DocumentProblem[] {
  const sorted = problems.toSorted((one, other) => (one.at ?? 0) - (other.at ?? 0));
  const more = sorted.length - MOST_TOLD;
  return more <= 0 ? sorted : [...sorted.slice(0, MOST_TOLD), { at: null, words: moreRefusedWords(more) }];
}
