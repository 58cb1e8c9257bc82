import { createHash } from 'node:crypto';
import { eventWords } from '#core/calendar/event.ts';
import type { ImportedEvent } from '#core/calendar/imported-event.ts';
import { sameCalendar, vanishedFrom } from '#core/ics/beside-before.ts';
import { likeliest, MOST_IMPORTED, previewSeries, takenIn } from '#core/ics/import-plan.ts';
import { emptyWords, noteWords } from '#core/ics/ics-words.ts';
import type { IcsCalendar } from '#core/ics/read-calendar.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { calendarImportFact, type CalendarPreview } from '#contract/calendar-in.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import type { CalendarImportRequest } from '#server/features/calendar/calendar-import.fact.ts';
import type { Services } from '#server/services.ts';
import { keyFrom } from '#server/key-from.ts';
import { OutOfPatience } from '#server/work/desk.ts';
import type { ImportOfCalendar } from '#core/calendar/imported-event.ts';
import type { Sending } from '#contract/fact.ts';

/** Nobody waits longer for a file to be read, ms. */
const PATIENCE_MS = 15_000;
const LONGEST_NAME = 120;
/** Things left out of a file that are told one by one. */
const MOST_NOTES = 50;

type File = { readonly playerId: PlayerId; readonly zone: string; readonly fileName: string; readonly text: string };
type Read = {
  readonly calendar: string;
  /** What it is called now, where that is something else. */
  readonly calledNow: string;
  readonly file: IcsCalendar;
  /** What was taken from a calendar of this name before. */
  readonly before: readonly ImportedEvent[];
  readonly isKnown: boolean;
};

/** Reads the file in a thread of its own: a large one takes a while. */
async function readFile(
  { desk, calendar, players }: Services,
  { playerId, zone, fileName, text }: File,
  now: WallClock,
): Promise<Outcome<Read, Failure>> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const asked = desk.ask('ics', { text, zone, today: now.on }, { patienceMs: PATIENCE_MS });
  const found = await asked.catch((error: unknown) => {
    if (error instanceof OutOfPatience) return null;
    throw error;
  });
  if (found === null) return fail(invalid('text', { code: 'ics-too-hard' }));
  if (!found.ok) return fail(invalid('text', found.failure));
  const file = found.value;
  const name = (file.name ?? fileName).slice(0, LONGEST_NAME);
  const uids = new Set([...file.series, ...file.cancelled].map(({ uid }) => uid));
  const earlier = sameCalendar(name, uids, calendar.imports(playerId));
  return succeed({
    calendar: earlier?.calendar ?? name,
    calledNow: name,
    file,
    before: earlier?.events ?? [],
    isKnown: earlier !== null,
  });
}

/** What a file holds beside what is in the record already; nothing is written. */
export async function previewOf(
  services: Services,
  asked: File,
  now: WallClock,
): Promise<Outcome<CalendarPreview, Failure>> {
  const read = await readFile(services, asked, now);
  if (!read.ok) return read;
  const { calendar, calledNow, file, before, isKnown } = read.value;
  const own = services.instruments
    .all()
    .filter((one) => one.playerId === asked.playerId)
    .flatMap(({ id }) => services.instruments.find(id) ?? [])
    .filter(({ leftOn }) => leftOn === null);
  const played = own.map(({ id }) => ({
    id,
    usualMinutes: services.readings.of(id)?.situation(now.on).plays.forecast.week.meanMinutes ?? [],
  }));
  const { shown: series, hidden } = likeliest(previewSeries(file.series, before, { own: played, today: now.on }));
  return succeed({
    calendar,
    calledNow,
    isKnown,
    empty: series.length > 0 ? null : emptyWords(file.empty ?? 'own'),
    series: series.map((one) => ({
      ...one,
      name: [...one.name].slice(0, LONGEST_NAME).join(''),
      instrumentIds: [...one.instrumentIds],
    })),
    hidden,
    vanished: vanishedFrom(file, before, now.on).map((one) => ({
      key: one.key,
      on: one.on,
      isCancelled: one.isCancelled,
      words: eventWords(one),
    })),
    notes: file.notes.slice(0, MOST_NOTES).map(noteWords),
    instruments: own.map(({ id, name }) => ({ instrumentId: id, name })),
  });
}

/** A key that is the same whenever the same date of the same calendar is imported for the same player. */
const keyOf = (
  playerId: string,
  calendar: string,
  { uid, instance }: Pick<ImportedEvent, 'uid' | 'instance'>,
): string => keyFrom([playerId, calendar, uid, instance]);

/** What was sent, in short: the same sent again is the same, whatever was imported in between. */
const digestOf = ({ key: _key, now: _now, ...content }: Sending<typeof calendarImportFact>): string =>
  createHash('sha256').update(JSON.stringify(content)).digest('base64url');

/** The import that was taken in under a key; what is stored under its kind was written by it. */
function importUnder({ record }: Services, key: string): ImportOfCalendar | null {
  const found = record.find(key);
  return found?.kind === calendarImportFact.kind ? (found.body as ImportOfCalendar) : null;
}

/** What is written down of a file: what was chosen of it, with what has vanished from it and was not dropped. */
export async function importRequestOf(
  services: Services,
  request: Sending<typeof calendarImportFact>,
): Promise<Outcome<CalendarImportRequest, Failure>> {
  const { key, now, playerId, zone, fileName, text, choices, dropped } = request;
  const sent = digestOf(request);
  const known = importUnder(services, key);
  if (known?.sent === sent) return succeed({ key, now, ...known });
  const read = await readFile(services, { playerId, zone, fileName, text }, now);
  if (!read.ok) return read;
  const { calendar, file, before } = read.value;
  const vanished = file.isOnlyCancelling ? before : vanishedFrom(file, before, now.on);
  const [gone, goes] = [new Set(vanished.map((one) => one.key)), new Set(dropped)];
  const kept = before.filter((one) => gone.has(one.key) && !goes.has(one.key));
  const events = takenIn(file.series, choices, { before, kept }).map((one) => ({
    ...one,
    key: one.key ?? keyOf(playerId, calendar, one),
  }));
  if (events.length > MOST_IMPORTED) return fail(invalid('choices', { code: 'ics-too-many', most: MOST_IMPORTED }));
  if (events.length === 0 && before.length === 0) return fail(invalid('choices', { code: 'ics-nothing-taken' }));
  return succeed({ key, now, playerId, calendar, events, sent });
}
