import { and, eq, inArray, sql } from 'drizzle-orm';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { fieldOf, type Fact, type Subject } from '#core/record/fact.ts';
import { dayNumber } from '#core/time/local-date.ts';
import type { Db } from '#server/db/connection.ts';
import { insertRow } from '#server/db/prepared-insert.ts';
import { facts, factSubjects, otherKeys, subjects } from '#server/record/record.table.ts';
import type { Spine, SpineRow } from '#server/record/spine.repository.ts';
import { WITHDRAWAL } from '#server/record/withdrawal.fact.ts';

/** A fact to be written. */
export type NewFact = Fact;

/** Which facts count, kept beside them: worked out anew wherever a fact takes another back or its place. */
function createCounting<Told>(db: Db, spine: Spine<Told>) {
  const setCounts = (row: SpineRow, counts: boolean): void => {
    if (row.counts === counts) return;
    db.update(facts).set({ counts }).where(eq(facts.id, row.id)).run();
    spine.definitionOf(row.kind).store.recount(db, row.id, counts);
  };
  /** Does the fact this one belongs to count, in any of its versions? */
  const ownerCounts = ({ belongsTo }: SpineRow): boolean =>
    belongsTo === null || spine.countingOf(belongsTo) !== undefined;
  const isTaken = ({ key }: SpineRow): boolean => spine.withdrawalOf(key) !== undefined;

  /** Works out anew which version of a fact counts, and what belongs to it. Follows `whatCounts` of the core. */
  const recount = (original: number): void => {
    const versions = spine.versionsOf(original);
    const [root] = versions;
    if (root === undefined) return;
    const stands = !isTaken(root) && ownerCounts(root);
    const counting = stands ? versions.findLast((one) => one === root || !isTaken(one)) : undefined;
    for (const version of versions) setCounts(version, version === counting);
    const dependents = db.select({ id: facts.id }).from(facts).where(eq(facts.belongsTo, root.id)).all();
    for (const { id } of dependents) recount(id);
  };

  return {
    recount,
    /** What a new fact changes: the place it takes, or whether it counts at all. */
    settle: (row: SpineRow, owner: SpineRow | null): void => {
      if (row.corrects !== null) recount(row.corrects);
      else if (owner?.counts !== true && !ownerCounts(row)) setCounts(row, false);
    },
  };
}

/** The writing half of the record. */
export function createRecordWriter<Told>(db: Db, spine: Spine<Told>) {
  const { recount, settle } = createCounting(db, spine);
  const subjectRow = db
    .select({ id: subjects.id })
    .from(subjects)
    .where(and(eq(subjects.kind, sql.placeholder('kind')), eq(subjects.name, sql.placeholder('name'))))
    .prepare();
  const subjectById = db
    .select({ kind: subjects.kind, id: subjects.name })
    .from(subjects)
    .where(eq(subjects.id, sql.placeholder('id')))
    .prepare();
  const subjectsOf = db
    .select({ id: factSubjects.subjectId })
    .from(factSubjects)
    .where(eq(factSubjects.factId, sql.placeholder('id')))
    .prepare();

  const subjectId = ({ kind, id: name }: Subject): number =>
    subjectRow.get({ kind, name })?.id ?? insertRow(db, subjects, { kind, name });

  /** The subjects of a fact, and of every fact it belongs to or corrects. */
  const touchedBy = (row: SpineRow): number[] => {
    const further = [row.corrects, row.belongsTo].flatMap((id) => (id === null ? [] : (spine.withId(id) ?? [])));
    return [...subjectsOf.all({ id: row.id }).map(({ id }) => id), ...further.flatMap(touchedBy)];
  };

  /** Another fact is always meant as the whole of it: the original, not one of its corrections. */
  const wholeOf = (row: SpineRow | null): number | null => row && (row.corrects ?? row.id);

  /** Writes the row of a fact. `owner`: the row it belongs to, as it was named. */
  const insertSpine = (fact: NewFact): { row: SpineRow; owner: SpineRow | null } => {
    const refer = (key: string | null): SpineRow | null => {
      const row = key === null ? null : spine.withKey(key);
      if (row === undefined) throw new Error(`${fact.kind} ${fact.key} refers to ${key}, which is not in the record`);
      return row;
    };
    const { key, kind, on, atMinute, loggedAt } = fact;
    const owner = refer(fact.belongsTo);
    const [corrects, belongsTo] = [wholeOf(refer(fact.corrects)), wholeOf(owner)];
    const id = insertRow(db, facts, { key, kind, on, atMinute, loggedAt, corrects, belongsTo, counts: true });
    return { row: { id, key, kind, on, atMinute, loggedAt, corrects, belongsTo, counts: true }, owner };
  };

  const insertFact = (fact: NewFact): number[] => {
    const { row, owner } = insertSpine(fact);
    const definition = spine.definitionOf(fact.kind);
    definition.store.insert(db, { factId: row.id, belongsTo: row.belongsTo }, fact.body);
    if (fact.kind === WITHDRAWAL) {
      const target = spine.withKey(String(fieldOf(fact.body, 'targetKey')));
      if (target) recount(target.corrects ?? target.id);
      return target ? touchedBy(target) : [];
    }
    const isToldByItself = owner === null || spine.definitionOf(owner.kind).eachIsTold === true;
    const isListed = definition.words !== undefined && isToldByItself;
    const listedAt = isListed ? dayNumber(fact.on) * MINUTES_PER_DAY + (fact.atMinute ?? 0) : null;
    const about = definition.about(fact.body);
    // What names instruments stands in their records, not in that of everything else their player has.
    const namesInstruments = about.some(({ kind }) => kind === 'instrument');
    const listed = new Map(
      about.map((subject) => [
        subjectId(subject),
        subject.kind === 'instrument' || !namesInstruments ? listedAt : null,
      ]),
    );
    for (const [subject, at] of listed)
      insertRow(db, factSubjects, { factId: row.id, subjectId: subject, listedAt: at });
    settle(row, owner);
    return definition.changesSubjects?.(fact.body) === false ? [] : touchedBy(row);
  };

  return {
    /**
     * Writes facts down, all of them or none, and makes the revision of every subject they touch one higher. The only
     * writer of the record. Call it inside `atOnce`, together with what was looked up to decide.
     */
    append: (all: readonly NewFact[]): void => {
      const touched = new Set(all.flatMap(insertFact));
      if (touched.size > 0)
        db.update(subjects)
          .set({ revision: sql`${subjects.revision} + 1` })
          .where(inArray(subjects.id, [...touched]))
          .run();
    },

    /** Of whom a fact tells, and every fact it belongs to or corrects. */
    touchedBy: (key: string): Subject[] => {
      const row = spine.withKey(key);
      const ids = new Set(row === undefined ? [] : touchedBy(row));
      return [...ids].flatMap((id) => subjectById.all({ id }));
    },

    /** Lets a key stand for a fact that is there already. */
    alsoKnownAs: (fact: string, key: string, sent: unknown): void => {
      const row = spine.withKey(fact);
      if (row === undefined) throw new Error(`no fact has the key ${fact}`);
      insertRow(db, otherKeys, { key, factId: row.id, sent: JSON.stringify(sent) });
    },
  };
}
