import { bookItem, itemIn, practiceFor } from '#core/care/practice-book.ts';
import type { CareItemId } from '#core/care/care-item.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { careWords, decisionWords, playWords, runWords, signWords } from '#core/record/record-entry.ts';
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
    ...services.plays.newest(instrumentId, limit).map(({ key, endedOn, endedAtMinute, minutes }): RecordEntryView => ({
      key,
      kind: 'play',
      on: endedOn,
      atMinute: endedAtMinute,
      words: playWords(minutes),
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
  ];
  const newestFirst = entries.toSorted((a, b) =>
    a.on === b.on ? (b.atMinute ?? 0) - (a.atMinute ?? 0) : a.on < b.on ? 1 : -1,
  );
  return succeed({ instrumentId, entries: newestFirst.slice(0, limit) });
}

const isFact = ({ plays, packup, care }: Services, key: string): boolean =>
  plays.find(key) !== undefined ||
  packup.find(key) !== undefined ||
  care.find(key) !== undefined ||
  care.findSign(key) !== undefined ||
  care.findDecision(key) !== undefined ||
  care.findReset(key) !== undefined ||
  packup.findEvent(key)?.event.kind === 'last-pass' ||
  packup.findEvent(key)?.event.kind === 'finished';

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
