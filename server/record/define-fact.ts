import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { AnyObject, Schema } from 'yup';
import type { Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import type { Fact, Subject } from '#core/record/fact.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Failure } from '#server/failure.ts';
import type { Db } from '#server/db/connection.ts';

/** A fact's number in the spine, and that of the fact it belongs to. */
export type Place = { readonly factId: number; readonly belongsTo: number | null };

/** Where the bodies of a kind are kept: one row each in a table of its own that refers to the spine. */
export type BodyStore<Body> = {
  insert(db: Db, place: Place, body: Body): void;
  /** The body of one fact. @throws Error when the spine has a fact whose body is missing */
  read(db: Db, factId: number): Body;
  /** How a row of the table is a body, where it is that alone: many are then read at once. */
  readonly fromRow?: (row: never) => Body;
  /** Repeats whether the fact counts, where the table does so for a covering index. */
  recount(db: Db, factId: number, counts: boolean): void;
  readonly table: BodyTable;
  /** Keys of facts whose body repeats something of the spine, or of what follows from it, and repeats it wrongly. */
  misrepeated?(db: Db): string[];
};

export type BodyTable = SQLiteTable & { readonly factId: SQLiteColumn; readonly counts?: SQLiteColumn };

/** What every request to log something carries. */
export type Sent = {
  readonly key: string;
  readonly corrects?: string | null | undefined;
  readonly now?: WallClock | undefined;
  /** How long ago it happened, ms, where it could not be sent at once. */
  readonly msAgo?: number | undefined;
};

/** What a request becomes once it may be written down. */
export type ToWrite<Body> = {
  readonly body: Body;
  readonly on: LocalDate;
  readonly atMinute: number | null;
  /** The key of the fact it came with and stands or falls with. */
  readonly belongsTo?: string;
  /** Facts that come with it, written in the same moment and taken back with it. */
  readonly with?: readonly Accompanying[];
};
export type Accompanying = { readonly kind: string; readonly key: string } & Omit<
  ToWrite<unknown>,
  'with' | 'belongsTo'
>;

/** For what a request is judged: where the player's clock stood, when that was, and which fact it takes the place of. */
export type Deciding = {
  readonly now: WallClock;
  readonly atMs: number;
  readonly corrects: string | null;
  /** When it was so, of what says no day itself: now, or when that was which it takes the place of. */
  readonly moment: { readonly on: LocalDate; readonly atMinute: number | null };
};

/** A fact with its number in the spine. */
export type Listed<Body> = Fact<Body> & { readonly id: number };

/** What is known of a kind before its rules: its name, of whom it tells, and what a client sends. */
type Declared<Body, Request> = {
  readonly kind: string;
  /** Of whom it tells; nobody where it is about another fact. */
  about(body: Body): readonly Subject[];
  /** Where it is posted; what only ever comes along with another is sent by nobody. */
  readonly path?: string;
  readonly request?: Schema<Request, AnyObject>;
  /** May another of its kind take its place? */
  readonly correctable?: boolean;
  /** What a body of it looks like in a document of the record. */
  readonly kept: Schema;
};

/** How a kind is decided, kept and read. `Told` is what words and rules are handed: the record itself knows no feature. */
export type Keeping<Body, Request extends Sent, Told> = {
  readonly store: BodyStore<Body>;
  /** Does it change what is known of its subjects, or of those of the fact it belongs to? Without it everything does. */
  changesSubjects?(body: Body): boolean;
  /** How it reads in the record of its subjects; a kind without words is told under another. */
  words?(fact: Fact<Body>, told: Told, about: Subject): string;
  /** The same of many at once, where each by itself would look something up. */
  wordsOfAll?(facts: readonly Listed<Body>[], told: Told, about: Subject): readonly string[];
  /** Is the body of no matter to the words of many? It is not read for them. */
  readonly isTooLargeToList?: true;
  /** Is what was logged with it told by itself? Without it a fact is told under the one it belongs to. */
  readonly eachIsTold?: true;
  /** The rules a new one must keep, never an old one; a kind without them is only ever written along with another. */
  decide?(request: Request, deciding: Deciding, told: Told): Outcome<ToWrite<Body>, Failure>;
  /** A feature's own route takes it in: it reads more than is sent. */
  readonly hasOwnRoute?: true;
  /** What of the request the stored fact says, where its body names it otherwise. */
  sent?(fact: Fact<Body>, told: Told): Readonly<Record<string, unknown>>;
  /** What is answered; the key alone where nothing else is said. */
  answer?(fact: Fact<Body>, told: Told): object;
  /** The fact that is there already and means the same, though it was sent under another key (a second tab's start). */
  sameAs?(request: Request, told: Told): string | undefined;
  /** Is it the player's own, and not handed on with an instrument it tells of? Without it everything goes along. */
  staysBehind?(body: Body): boolean;
  /** Facts of the kind that break a rule of today, a line each: rules bind new facts, old ones stay as they are. */
  breaking?(told: Told): string[];
  /** Why it cannot be taken back; null where it can. Without it everything of the kind can. */
  keeps?(fact: Fact<Body>, told: Told): Failure | null;
};

/**
 * A kind of fact: everything the record must know to store it, answer it again, take it back, correct it, list it and
 * give it out.
 */
export type FactDefinition<Body, Request extends Sent, Told> = Declared<Body, Request> & Keeping<Body, Request, Told>;

/** Any kind of fact, whatever its body. */
export type AnyFact<Told> = FactDefinition<unknown, Sent, Told>;

type AnyDeclared = {
  readonly kind: string;
  about(body: never): readonly Subject[];
  readonly path?: string;
  readonly request?: Schema;
  readonly correctable?: boolean;
  readonly kept: Schema;
};
/** What is kept: what the declaration says it is, or more. */
type BodyOf<Of extends AnyDeclared, Kept> = [Kept] extends [never] ? Parameters<Of['about']>[0] : Kept;
/** What is sent: what the declaration says, or what the feature's own route makes of it. */
type RequestOf<Of extends AnyDeclared, Request> = [Request] extends [never]
  ? Of extends { readonly request: Schema<infer Said> }
    ? Said & Sent
    : Sent
  : Request;

/**
 * Adds to a kind of fact, as the contract declares it, how it is decided, kept and read.
 *
 * @typeParam Kept what is kept of it, where that is more than its declaration needs to know
 */
export const defineFact =
  <Told, Kept = never, Request extends Sent = never>() =>
  <const Of extends AnyDeclared>(
    { kind, about, path, request, correctable, kept }: Of,
    keeping: Keeping<BodyOf<Of, Kept>, RequestOf<Of, Request>, Told>,
  ): FactDefinition<BodyOf<Of, Kept>, RequestOf<Of, Request>, Told> =>
    ({ kind, about, path, request, correctable, kept, ...keeping }) as unknown as FactDefinition<
      BodyOf<Of, Kept>,
      RequestOf<Of, Request>,
      Told
    >;
