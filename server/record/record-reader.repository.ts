import { and, desc, eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { Subject } from '#core/record/fact.ts';
import { instant } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { readBodies } from '#server/record/read-bodies.repository.ts';
import { facts, factSubjects, otherKeys, subjects } from '#server/record/record.table.ts';
import type { Recorded, Spine, SpineRow } from '#server/record/spine.repository.ts';

const original = alias(facts, 'original');
const owner = alias(facts, 'owner');
const ofSubject = and(eq(subjects.kind, sql.placeholder('kind')), eq(subjects.name, sql.placeholder('name')));

/** A corrected fact keeps the place of its original in the record. */
const originalId = ({ id, corrects }: { readonly id: number; readonly corrects: number | null }) => corrects ?? id;

/** A fact as it is listed: without its body. */
export type NewestFact = Omit<Recorded, 'body'>;

/** Facts about subjects: which are the newest, and whether there are any more. */
function createListing(db: Db) {
  const about = () =>
    db
      .select({ fact: facts, originalKey: original.key, ownerKey: owner.key, listedAt: factSubjects.listedAt })
      .from(subjects)
      .innerJoin(factSubjects, eq(factSubjects.subjectId, subjects.id))
      .innerJoin(facts, and(eq(facts.id, factSubjects.factId), eq(facts.counts, true)))
      .leftJoin(original, eq(original.id, facts.corrects))
      .leftJoin(owner, eq(owner.id, facts.belongsTo));
  return {
    newest: about()
      .where(and(ofSubject, sql`${factSubjects.listedAt} is not null`))
      .orderBy(desc(factSubjects.listedAt), desc(sql`coalesce(${facts.corrects}, ${facts.id})`))
      .limit(sql.placeholder('limit'))
      .prepare(),
    others: about()
      .where(
        and(
          ofSubject,
          sql`${facts.key} <> ${sql.placeholder('than')}`,
          sql`coalesce(${owner.key}, '') <> ${sql.placeholder('than')}`,
        ),
      )
      .limit(1)
      .prepare(),
  };
}

/** The reading half of the record: what every kind of fact has in common. */
export function createRecordReader<Told>(db: Db, spine: Spine<Told>) {
  const { recorded, withKey, withId } = spine;
  const listing = createListing(db);
  const otherKey = db
    .select()
    .from(otherKeys)
    .where(eq(otherKeys.key, sql.placeholder('key')))
    .prepare();
  const revisionsOfKind = db
    .select({ name: subjects.name, revision: subjects.revision })
    .from(subjects)
    .where(eq(subjects.kind, sql.placeholder('kind')))
    .prepare();
  const revisionOfOne = db.select({ revision: subjects.revision }).from(subjects).where(ofSubject).prepare();
  const entry = db
    .select({ key: facts.key })
    .from(facts)
    .where(eq(facts.key, sql.placeholder('key')))
    .unionAll(
      db
        .select({ key: otherKeys.key })
        .from(otherKeys)
        .where(eq(otherKeys.key, sql.placeholder('key'))),
    )
    .prepare();
  const found = (row: SpineRow | undefined): Recorded | undefined => row && recorded(row);
  return {
    definitions: spine.definitions,
    definitionOf: spine.definitionOf,

    /** Does anything in the record have this key, its own or another? */
    knowsKey: (key: string): boolean => entry.get({ key }) !== undefined,

    find: (key: string): Recorded | undefined => found(withKey(key)),

    /** The original of a fact: itself, or what it corrects. */
    findOriginal: (key: string): Recorded | undefined => {
      const row = withKey(key);
      return found(row?.corrects ? withId(row.corrects) : row);
    },

    /** The version of a fact that counts; undefined when it was taken back. */
    standing: (key: string): Recorded | undefined => {
      const row = withKey(key);
      return found(row && spine.countingOf(row.corrects ?? row.id));
    },

    /** The fact another key stands for, and what was sent under it. */
    findOtherKey: (key: string): { readonly fact: Recorded; readonly sent: unknown } | undefined => {
      const other = otherKey.get({ key });
      const fact = other && found(withId(other.factId));
      if (other === undefined || fact === undefined) return undefined;
      const sent: unknown = JSON.parse(other.sent);
      return { fact, sent };
    },

    /** Who took a fact back, and when. */
    withdrawalOf: (targetKey: string) => {
      const taken = spine.withdrawalOf(targetKey);
      return taken && { ...taken, targetKey };
    },

    /** How often each subject of a kind has been touched, by its id. */
    revisions: (kind: Subject['kind']): ReadonlyMap<string, number> =>
      new Map(revisionsOfKind.all({ kind }).map(({ name, revision }) => [name, revision])),

    revision: ({ kind, id }: Subject): number => revisionOfOne.get({ kind, name: id })?.revision ?? 0,

    /** Does the record say anything more of a subject than this fact and what came with it? */
    saysMoreOf: ({ kind, id }: Subject, than: string): boolean =>
      listing.others.get({ kind, name: id, than }) !== undefined,

    /** The newest facts about these that count and are told by themselves; a corrected one under its original key. */
    newest: (about: readonly Subject[], limit: number): NewestFact[] => {
      const rows = about.flatMap(({ kind, id: name }) => listing.newest.all({ kind, name, limit }));
      return [...new Map(rows.map((row) => [row.fact.id, row])).values()]
        .toSorted((a, b) => (b.listedAt ?? 0) - (a.listedAt ?? 0) || originalId(b.fact) - originalId(a.fact))
        .slice(0, limit)
        .map(({ fact, originalKey, ownerKey }) => ({
          ...fact,
          on: localDate(fact.on),
          loggedAt: instant(fact.loggedAt),
          key: originalKey ?? fact.key,
          corrects: originalKey,
          belongsTo: ownerKey,
        }));
    },

    /** The bodies of facts, by their number, in one statement. */
    bodiesOf: (all: readonly { readonly id: number; readonly kind: string }[]): ReadonlyMap<number, unknown> => {
      const kinds = [...new Set(all.map(({ kind }) => kind))];
      return readBodies(
        db,
        kinds.map((kind) => ({
          store: spine.definitionOf(kind).store,
          ids: all.filter((one) => one.kind === kind).map(({ id }) => id),
        })),
      );
    },
  };
}
