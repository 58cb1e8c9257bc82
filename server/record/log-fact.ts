import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { differences, type Fact, type Subject } from '#core/record/fact.ts';
import type { TouchedSubject } from '#contract/fact.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { conflict, invalid, notFound, notYours, type Failure, type Logged } from '#server/failure.ts';
import type { AnyFact, Deciding, FactDefinition, Sent, ToWrite } from '#server/record/define-fact.ts';
import type { RecordOf } from '#server/record/record.repository.ts';
import type { Recorded } from '#server/record/spine.repository.ts';
import { playersClock, stampNow } from '#server/wall-clock.ts';

/** What the record needs of whoever tells it something. */
export type Telling<Told> = {
  readonly record: RecordOf<Told>;
  readonly may: (ofWhom: () => readonly Subject[]) => boolean;
  /** Whose pages hang on those of these subjects as well: themselves, and whom a feature knows them to belong to. */
  readonly reachOf: (subjects: readonly Subject[]) => readonly Subject[];
  readonly atOnce: <Result>(work: () => Result) => Result;
  readonly nowMs: () => number;
};

type Kind<Body, Request extends Sent, Told> = FactDefinition<Body, Request, Told>;

const takenBack = (): Failure => conflict('key', { code: 'taken-back' });
const otherEntry = (fields: readonly string[]): Failure => conflict('key', { code: 'another-under-this-key', fields });

/** What a request says, without its key and the moment it was sent. */
function contentOf({ key: _key, now: _now, msAgo: _ago, corrects, ...content }: Sent): Record<string, unknown> {
  return { ...content, corrects: corrects ?? null };
}

/** What a request says, with the original named where it corrects a correction. */
function resolved<Told>({ record }: Telling<Told>, request: Sent): Record<string, unknown> {
  const { corrects } = request;
  const original = corrects ? (record.findOriginal(corrects)?.key ?? corrects) : null;
  return { ...contentOf(request), corrects: original };
}

/** A fact by the type of its kind's bodies: what is stored under a kind was written by its definition. */
const ofKind = <Body>(fact: Recorded): Recorded<Body> => fact as Recorded<Body>;

/** An entry under a key the record knows already: the same again, another one, or one taken back. */
function known<Body, Request extends Sent, Told>(
  telling: Telling<Told> & Told,
  { kind, sent }: Kind<Body, Request, Told>,
  request: Request,
): Outcome<Recorded<Body> | null, Failure> {
  const { record } = telling;
  if (!record.knowsKey(request.key)) return succeed(null);
  const other = record.findOtherKey(request.key);
  const found = other?.fact ?? record.find(request.key);
  if (found === undefined) return succeed(null);
  if (found.kind !== kind) return fail(otherEntry(['kind']));
  const ours = ofKind<Body>(found);
  const stored = other ? other.sent : { ...(sent?.(ours, telling) ?? ours.body), corrects: found.corrects };
  const differing = differences(resolved(telling, request), stored);
  if (differing.length > 0) return fail(otherEntry(differing));
  return record.standing(found.key) === undefined ? fail(takenBack()) : succeed(ours);
}

/** The original a request wants to take the place of; null where it corrects nothing. */
function corrected<Body, Request extends Sent, Told>(
  { record }: Telling<Told>,
  { kind, correctable }: Kind<Body, Request, Told>,
  request: Request,
): Outcome<Recorded | null, Failure> {
  const { corrects } = request;
  if (corrects === null || corrects === undefined) return succeed(null);
  const found = record.findOriginal(corrects);
  if (found === undefined || found.kind !== kind) return fail(notFound('corrects', { code: 'nothing-to-correct' }));
  if (correctable !== true) return fail(invalid('corrects', { code: 'not-correctable' }));
  if (record.standing(found.key) === undefined)
    return fail(conflict('corrects', { code: 'correcting-what-was-taken-back' }));
  return succeed(found);
}

type Written<Body> = { readonly fact: Fact<Body>; readonly created: boolean };

/** A fact that is known to be there. @throws Error when it is not */
function factUnder<Body, Told>({ record }: Telling<Told>, key: string): Fact<Body> {
  const fact = record.find(key);
  if (fact === undefined) throw new Error(`no fact has the key ${key}`);
  return ofKind(fact);
}

/** When it happened, and where the player's clock stood then; the server's UTC day where they do not say. */
function clockOf({ now, msAgo = 0 }: Sent, nowMs: number): Outcome<Pick<Deciding, 'now' | 'atMs'>, Failure> {
  const atMs = nowMs - msAgo;
  const clock = now ? playersClock(now, atMs) : succeed({ on: stampNow(atMs).on, atMinute: 0 });
  return clock.ok ? succeed({ now: clock.value, atMs }) : clock;
}

type Asked<Request> = Pick<Deciding, 'now' | 'atMs'> & { readonly request: Request };

/** What a request becomes, by the rules of its kind, where whoever asks may say it. */
function decide<Body, Request extends Sent, Told>(
  telling: Telling<Told> & Told,
  definition: Kind<Body, Request, Told>,
  { request, ...clock }: Asked<Request>,
): Outcome<{ readonly toWrite: ToWrite<Body>; readonly corrects: string | null }, Failure> {
  if (definition.decide === undefined) throw new Error(`${definition.kind} is never logged by itself`);
  const original = corrected(telling, definition, request);
  if (!original.ok) return original;
  const corrects = original.value?.key ?? null;
  const moment = original.value ?? clock.now;
  const decided = definition.decide(request, { ...clock, corrects, moment }, telling);
  if (!decided.ok) return decided;
  const { body, belongsTo } = decided.value;
  const ofWhom = (): readonly Subject[] => [
    ...definition.about(body),
    ...(belongsTo === undefined ? [] : telling.record.touchedBy(belongsTo)),
  ];
  return telling.may(ofWhom) ? succeed({ toWrite: decided.value, corrects }) : fail(notYours());
}

function write<Body, Request extends Sent, Told>(
  telling: Telling<Told> & Told,
  definition: Kind<Body, Request, Told>,
  request: Request,
): Outcome<Written<Body>, Failure> {
  const { record, nowMs } = telling;
  const before = known(telling, definition, request);
  if (!before.ok) return before;
  if (before.value) return succeed({ fact: before.value, created: false });
  const clock = clockOf(request, nowMs());
  if (!clock.ok) return clock;
  const twin = definition.sameAs?.(request, telling);
  if (twin !== undefined) {
    record.alsoKnownAs(twin, request.key, contentOf(request));
    return succeed({ fact: factUnder<Body, Told>(telling, twin), created: false });
  }
  const decided = decide(telling, definition, { request, ...clock.value });
  if (!decided.ok) return decided;
  const { corrects, toWrite } = decided.value;
  const { body, on, atMinute, belongsTo = null, with: others = [] } = toWrite;
  const { key } = request;
  const loggedAt = instantOfMs(nowMs());
  const own: Fact<Body> = {
    key,
    kind: definition.kind,
    on,
    atMinute,
    loggedAt,
    corrects,
    belongsTo,
    body,
  };
  record.append([own, ...others.map((other) => ({ ...other, loggedAt, corrects: null, belongsTo: key }))]);
  return succeed({ fact: own, created: true });
}

/**
 * Writes something down once, however often it is sent: looked up, judged and written in one transaction. The same key
 * with the same content is answered as before; with any other content it is refused, and the answer says what differs.
 */
export function logFact<Body, Request extends Sent, Told>(
  telling: Telling<Told> & Told,
  definition: Kind<Body, Request, Told>,
  request: Request,
): Outcome<Logged<object>, Failure> {
  const written = telling.atOnce(() => write(telling, definition, request));
  if (!written.ok) return written;
  const { fact, created } = written.value;
  const view = definition.answer?.(fact, telling) ?? { key: fact.key };
  const isOfNoOne = definition.changesSubjects?.(fact.body) === false;
  return succeed({ view, created, touched: isOfNoOne ? [] : touchedBy(telling, fact.key) });
}

/** Whose pages look again after something was written or taken back under this key. */
export const touchedBy = <Told>({ record, reachOf }: Telling<Told>, key: string): TouchedSubject[] =>
  reachOf(record.touchedBy(key)).map((subject) => ({ ...subject, revision: record.revision(subject) }));

/** Any definition, as the routes hold them. */
export const logAny = <Told>(telling: Telling<Told> & Told, definition: AnyFact<Told>, request: Sent) =>
  logFact(telling, definition, request);
