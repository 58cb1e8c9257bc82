import { bookItem, itemIn, practiceFor } from '#core/care/practice-book.ts';
import type { CareItemId } from '#core/care/care-ids.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import {
  careWords,
  conditionWords,
  decisionWords,
  playWords,
  runWords,
  schoolSetWords,
  schoolWords,
  signWords,
} from '#core/record/record-entry.ts';
import type { Format } from '#core/explain/format.ts';
import { localDate } from '#core/time/local-date.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { RecordEntryView, WithdrawRequest } from '#contract/record.ts';
import { conflict, notFound, type Failure, type Logged } from '#server/failure.ts';
import type { Run } from '#server/features/packup/packup.repository.ts';
import type { Services } from '#server/repositories.ts';

type WithdrawalView = { key: string; targetKey: string; at: string };

function runEntry({ packup, care }: Services, instrument: Instrument, run: Run): RecordEntryView {
  const practice = practiceFor(instrument.kind, instrument.build);
  const finish = packup.events(run.key).find(({ event }) => event.kind === 'finished');
  const done = finish
    ? care
        .doneBySource(finish.key)
        .filter(({ instrumentId }) => instrumentId === instrument.id)
        .flatMap(({ itemId }) => itemIn(practice, itemId as CareItemId) ?? [])
    : [];
  return {
    key: run.key,
    kind: 'run',
    on: run.startedOn,
    atMinute: run.startedAtMinute,
    words: runWords(run.kind, done, finish !== undefined),
    minutes: null,
  };
}

/** Choices where practice differs, one by one or a set at a time, and conditions entered. */
const judgements = ({ schools, conditions }: Services, { id, playerId }: Instrument, limit: number) => [
  ...schools.newest(id, limit).map(({ key, chosenOn, school, choice }): RecordEntryView => ({
    key,
    kind: 'school',
    on: chosenOn,
    atMinute: null,
    words: schoolWords(school, choice),
    minutes: null,
  })),
  ...schools.newestSets(id, limit).map(({ key, takenOn, name }): RecordEntryView => ({
    key,
    kind: 'school',
    on: takenOn,
    atMinute: null,
    words: schoolSetWords(name),
    minutes: null,
  })),
  ...conditions.newest(id, playerId, limit).map(({ key, beginsOn, condition, playerId: of }): RecordEntryView => ({
    key,
    kind: 'condition',
    on: beginsOn,
    atMinute: null,
    words: conditionWords(condition, of !== null),
    minutes: null,
  })),
];

/** The newest entries of an instrument's record: plays, runs and care logged by itself. */
export function recordOf(
  services: Services,
  instrumentId: string,
  limit: number,
  format: Format,
): Outcome<{ instrumentId: string; entries: RecordEntryView[] }, Failure> {
  const instrument = services.instruments.find(instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const item = (id: string) => bookItem(id as CareItemId);
  const entries: RecordEntryView[] = [
    ...services.packup.newest(instrumentId, limit).map((run) => runEntry(services, instrument, run)),
    ...services.plays
      .newest(instrumentId, limit)
      .map(({ key, endedOn, endedAtMinute, minutes, roomCelsius }): RecordEntryView => ({
        key,
        kind: 'play',
        on: endedOn,
        atMinute: endedAtMinute,
        words: playWords(minutes, roomCelsius),
        minutes,
      })),
    ...services.care.newestByHand(instrumentId, limit).map(({ key, doneOn, itemId, by }): RecordEntryView => ({
      key,
      kind: 'care',
      on: doneOn,
      atMinute: null,
      words: careWords(item(itemId), itemId, by),
      minutes: null,
    })),
    ...services.care
      .newestSigns(instrumentId, limit)
      .filter(({ sourceKey }) => sourceKey === null)
      .map(({ key, noticedOn, noticedAtMinute, itemId }): RecordEntryView => ({
        key,
        kind: 'sign',
        on: noticedOn,
        atMinute: noticedAtMinute,
        words: signWords(item(itemId), itemId),
        minutes: null,
      })),
    ...services.care
      .newestDecisions(instrumentId, limit)
      .map(({ key, decidedOn, itemId, kind, until }): RecordEntryView => ({
        key,
        kind: 'decision',
        on: decidedOn,
        atMinute: null,
        words: decisionWords(item(itemId), { itemId, kind, until: until === null ? null : localDate(until) }, format),
        minutes: null,
      })),
    ...judgements(services, instrument, limit),
  ];
  const newestFirst = entries.toSorted((a, b) =>
    a.on === b.on ? (b.atMinute ?? 0) - (a.atMinute ?? 0) : a.on < b.on ? 1 : -1,
  );
  return succeed({ instrumentId, entries: newestFirst.slice(0, limit) });
}

/** Entries a single table of its own holds. */
const isEntry = ({ plays, packup, care, schools, conditions }: Services, key: string): boolean =>
  [
    plays.find,
    packup.find,
    care.find,
    care.findSign,
    care.findDecision,
    care.findReset,
    schools.find,
    schools.findSet,
    conditions.find,
    conditions.findEnd,
  ].some((find) => find(key) !== undefined);

/** What may be taken back: an entry, or of a run's events its end and what the last pass showed. */
const isFact = (services: Services, key: string): boolean =>
  isEntry(services, key) || ['last-pass', 'finished'].includes(services.packup.findEvent(key)?.event.kind ?? '');

/**
 * Takes a log entry back. Withdrawing a run takes its end, and with it the care it recorded, back as well. Taking
 * back what is taken back already is no fault: the first withdrawal is returned.
 */
export function withdraw(services: Services, request: WithdrawRequest): Outcome<Logged<WithdrawalView>, Failure> {
  const { record, packup, nowMs } = services;
  const { key, targetKey } = request;
  const known = record.withdrawalOf(targetKey);
  if (known) return succeed({ view: known, created: false });
  if (!isFact(services, targetKey)) return fail(notFound('targetKey', 'Nothing in the record has this key.'));
  if (record.keyTaken(key)) return fail(conflict('key', 'This key has taken something else back.'));
  const at = instantOfMs(nowMs());
  const end = packup.find(targetKey) && packup.events(targetKey).find(({ event }) => event.kind === 'finished');
  services.atOnce(() => {
    record.withdraw({ key, targetKey, at });
    if (end) record.withdraw({ key: `${key}/end`, targetKey: end.key, at });
  });
  return succeed({ view: { key, targetKey, at }, created: true });
}
