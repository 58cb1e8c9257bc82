import { createWriteStream, rmSync } from 'node:fs';
import path from 'node:path';
import { randomUUID } from 'node:crypto';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';
import type { Format } from '#core/explain/format.ts';
import { asError } from '#core/kernel/as-error.ts';
import { UNKNOWN_FILE } from '#core/data/incoming-words.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { IncomingPhase, IncomingPreview, IncomingView, TableReading, TakeRequest } from '#contract/data.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { noMoreThan, roomIn } from '#server/backup/room.ts';
import { whatFile, type FileKind } from '#server/backup/what-file.ts';
import { makeFolder } from '#server/db/connection.ts';
import { copyWay } from '#server/features/data/copy-way.ts';
import { documentWay } from '#server/features/data/document-way.ts';
import { DocumentRefusal, type DocumentProblem } from '#server/features/data/import-document.ts';
import { tableWay } from '#server/features/data/table-way.ts';
import type { AtHand, Way } from '#server/features/data/way.ts';

const WAYS: Readonly<Record<Exclude<FileKind, 'unknown'>, Way>> = {
  copy: copyWay,
  record: documentWay,
  table: tableWay,
};

/** In the data folder: files that have been brought in and wait for a word. */
const FOLDER = 'incoming';
/** More than this is a mistake: the oldest goes. */
const MOST_AT_ONCE = 4;

type Incoming = {
  readonly id: string;
  readonly name: string;
  readonly file: string;
  readonly stop: AbortController;
  kind: FileKind;
  phase: IncomingPhase;
  progress: number | null;
  preview: IncomingPreview | null;
  reading: TableReading | null;
  problems: readonly DocumentProblem[];
  outcome: string | null;
};

/** What went wrong, line by line, for a person. */
const problemsOf = (error: unknown): readonly DocumentProblem[] => {
  if (error instanceof DocumentRefusal) return error.problems;
  if (error instanceof CopyRefusal) return [{ at: null, words: error.message }];
  return [{ at: null, words: `It could not be taken in (${asError(error).message}). Nothing was changed.` }];
};

type Common = Pick<AtHand, 'record' | 'book' | 'definitions' | 'nowMs'>;
/** What is made of a file lies beside it. */
const besideOf = ({ file }: Incoming): string => `${file}.made`;

/** How a file is taken in; undefined for what nobody can take in. */
const wayOf = ({ kind }: Incoming): Way | undefined => (kind === 'unknown' ? undefined : WAYS[kind]);

/** Files that are brought in: each is received, looked at, and taken in once somebody has seen what it would do. */
export class IncomingFiles {
  readonly #all = new Map<string, Incoming>();
  readonly #folder: string;

  constructor(private readonly common: Common) {
    this.#folder = path.join(common.record.folder, FOLDER);
    // What a program that was cut off had been brought is of no use to anybody.
    rmSync(this.#folder, { recursive: true, force: true });
  }

  /** What is being taken in now, whoever brought it. */
  current(): string | null {
    return [...this.#all.values()].findLast(({ phase }) => phase !== 'taken')?.id ?? null;
  }

  /** Takes a file into the data folder and begins to look at it. @throws CopyRefusal where there is no room */
  async receive(bytes: Readable, name: string, format: Format, today: LocalDate): Promise<string> {
    makeFolder(this.#folder);
    const [oldest] = this.#all.values();
    if (this.#all.size >= MOST_AT_ONCE && oldest) this.#remove(oldest);
    const id = randomUUID();
    const one: Incoming = {
      ...{
        id,
        name,
        file: path.join(this.#folder, id),
        stop: new AbortController(),
        kind: 'unknown',
        phase: 'reading',
      },
      ...{ progress: null, preview: null, reading: null, problems: [], outcome: null },
    };
    try {
      await pipeline(bytes, noMoreThan(roomIn(this.#folder)), createWriteStream(one.file));
    } catch (error) {
      rmSync(one.file, { force: true });
      throw error;
    }
    this.#all.set(id, one);
    void this.#look(one, format, today);
    return id;
  }

  view(id: string): IncomingView | undefined {
    const one = this.#all.get(id);
    if (one === undefined) return undefined;
    const { name, kind, phase, progress, preview, problems, outcome } = one;
    return { id, name, kind, phase, progress, preview, problems: [...problems], outcome };
  }

  /** Reads a table otherwise. @returns false where none waits under this name */
  readOtherwise(id: string, reading: TableReading, format: Format, today: LocalDate): boolean {
    const one = this.#all.get(id);
    if (one?.phase !== 'ready' || one.kind !== 'table') return false;
    one.phase = 'reading';
    one.reading = reading;
    void this.#look(one, format, today);
    return true;
  }

  /** Begins to take one in. @returns false where none waits under this name */
  take(id: string, request: TakeRequest, format: Format): boolean {
    const one = this.#all.get(id);
    const way = one && wayOf(one);
    if (one?.phase !== 'ready' || one.preview?.isWorthIt !== true || way === undefined) return false;
    one.phase = 'taking';
    void this.#working(one, async () => {
      one.outcome = await way.take(this.#atHand(one, format, request.today), request);
      one.phase = 'taken';
    }).finally(() => {
      way.clear(besideOf(one));
      rmSync(one.file, { force: true });
    });
    return true;
  }

  /** Ends one, whatever it is doing; nothing of it is written then. @returns false where there is none */
  end(id: string): boolean {
    const one = this.#all.get(id);
    if (one) this.#remove(one);
    return one !== undefined;
  }

  endAll(): void {
    for (const one of this.#all.values()) this.#remove(one);
  }

  #look(one: Incoming, format: Format, today: LocalDate): Promise<void> {
    return this.#working(one, async () => {
      one.kind = await whatFile(one.file);
      const way = wayOf(one);
      if (way === undefined) throw new CopyRefusal(UNKNOWN_FILE);
      const { preview, problems = [] } = await way.look(this.#atHand(one, format, today));
      one.preview = preview;
      one.problems = problems;
      one.phase = 'ready';
    });
  }

  /** Does a piece of work on one of them; what goes wrong is told, and it is ended. */
  async #working(one: Incoming, work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      if (one.stop.signal.aborted) return;
      one.phase = 'refused';
      one.problems = problemsOf(error);
    } finally {
      one.progress = null;
    }
  }

  #atHand(one: Incoming, format: Format, today: LocalDate): AtHand {
    return {
      ...this.common,
      file: one.file,
      beside: besideOf(one),
      name: one.name,
      reading: one.reading,
      format,
      today,
      stop: one.stop.signal,
      report: (progress) => (one.progress = progress),
    };
  }

  #remove(one: Incoming): void {
    one.stop.abort();
    this.#all.delete(one.id);
    wayOf(one)?.clear(besideOf(one));
    rmSync(one.file, { force: true });
  }
}
